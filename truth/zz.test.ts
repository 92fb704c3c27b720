import { it } from 'vitest';
import { askWorlds } from './ask-worlds';
import { coverages, detections } from './summary';
it('t', () => {
	const a = askWorlds(Number(process.env.N ?? 300), 5, () => undefined, (process.env.Q ?? 'fade').split(','));
	for (const c of coverages(a))
		console.log(
			'##',
			c.of,
			'|',
			c.stratum,
			'|',
			c.asked,
			((100 * c.held) / c.asked).toFixed(1),
			'-',
			c.below,
			'+',
			c.above,
			'w',
			c.width.toPrecision(3)
		);
	for (const d of detections(a)) console.log('##', d.of, d.present, d.caught, d.absent, d.falselyCalled);
});
