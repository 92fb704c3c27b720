import { it } from 'vitest';
import { askWorlds } from './ask-worlds';
import { coverages } from './summary';
import { coverageTable } from './report';
it('one', () => {
	console.log(coverageTable(coverages(askWorlds(200, 1, () => undefined, ['joining']))));
}, 600000);
