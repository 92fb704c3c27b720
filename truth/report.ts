import { scaleLinear } from 'd3-scale';
import type { Coverage, Detection, Reliability } from './summary';

const percent = (share: number, decimals = 1) => `${(share * 100).toFixed(decimals)} %`;
const row = (...cells: (string | number)[]) => `| ${cells.join(' | ')} |`;
/** What a 95 % interval is wanted to hold. */
export const WANTED = { low: 0.93, high: 0.98 };

export function coverageTable(coverages: readonly Coverage[]): string {
	return [
		row('quantity', 'asked', 'held', 'truth below', 'truth above', 'mean width', ''),
		row('---', '--:', '--:', '--:', '--:', '--:', '---'),
		...coverages.map((c) => {
			const held = c.held / c.asked;
			const note = held < WANTED.low ? '**too sure**' : held > WANTED.high ? 'wider than need be' : '';
			return row(
				c.of,
				c.asked,
				percent(held),
				percent(c.below / c.asked),
				percent(c.above / c.asked),
				c.width.toPrecision(3),
				note
			);
		})
	].join('\n');
}

/** What is known of a stratum whose intervals do not hold as often as they say, or are wider than need be. */
const KNOWN: readonly { in: RegExp; says: string }[] = [
	{ in: /testers 3 to 5 % off/, says: 'testers that are off alike agree with each other: no run on them tells' },
	{ in: /a used cell/, says: 'one in five is taken to be used; of more the doubt is too narrow' },
	{ in: /temperature not told/, says: 'a shed may be colder than these worlds’' },
	{ in: /a bend before/, says: 'a bend in the last year shows in one test only' },
	{ in: /long grey spells/, says: 'how long they last at a place nobody is asked' }
];

/** The same by stratum. */
export function strataTable(coverages: readonly Coverage[]): string {
	return [
		row('quantity', 'where', 'asked', 'held', 'truth below', 'truth above', 'mean width', 'known of it'),
		row('---', '---', '--:', '--:', '--:', '--:', '--:', '---'),
		...coverages.map((c) =>
			row(
				...[c.of, c.stratum!, c.asked, percent(c.held / c.asked)],
				...[percent(c.below / c.asked), percent(c.above / c.asked), c.width.toPrecision(3)],
				KNOWN.find((k) => k.in.test(c.stratum!))?.says ?? ''
			)
		)
	].join('\n');
}

export function reliabilityTable({ of, asked, brier, ideal, bins }: Reliability): string {
	return [
		`**${of}**: ${asked} asked, Brier score ${brier.toFixed(4)}, ${ideal.toFixed(4)} if every stated probability were right.`,
		'',
		row('stated', 'asked', 'mean stated', 'came to pass'),
		row('---', '--:', '--:', '--:'),
		...bins.map((b) =>
			row(`${percent(b.from, 0)} to ${percent(b.to, 0)}`, b.asked, percent(b.stated), percent(b.happened))
		)
	].join('\n');
}

export function detectionTable(detections: readonly Detection[]): string {
	return [
		row('verdict', 'true in', 'said of those', 'false in', 'said of those'),
		row('---', '--:', '--:', '--:', '--:'),
		...detections.map((d) =>
			row(
				d.of,
				d.present,
				percent(d.caught / Math.max(1, d.present)),
				d.absent,
				percent(d.falselyCalled / Math.max(1, d.absent))
			)
		)
	].join('\n');
}

const SIZE = { width: 960, row: 26, left: 520, right: 20, top: 34, bottom: 40 };

/** How often each quantity's 95 % intervals held the truth, with what chance alone would scatter, as a picture. */
export function coveragePlot(coverages: readonly Coverage[]): string {
	const height = SIZE.top + coverages.length * SIZE.row + SIZE.bottom;
	const x = scaleLinear([0.8, 1], [SIZE.left, SIZE.width - SIZE.right]);
	const rows = coverages.map((c, i) => {
		const y = SIZE.top + (i + 0.5) * SIZE.row;
		const held = c.held / c.asked;
		const scatter = 1.96 * Math.sqrt((held * (1 - held)) / c.asked);
		const at = (v: number) => x(Math.max(0.8, Math.min(1, v))).toFixed(1);
		return [
			`<text x="${SIZE.left - 12}" y="${y + 5}" text-anchor="end">${c.of}${c.stratum ? `, ${c.stratum}` : ''}</text>`,
			`<line x1="${at(held - scatter)}" x2="${at(held + scatter)}" y1="${y}" y2="${y}" stroke="#2b211c" stroke-width="2"/>`,
			`<circle cx="${at(held)}" cy="${y}" r="6" fill="${held < WANTED.low ? '#c2410c' : '#2b211c'}"/>`
		].join('');
	});
	const ticks = [0.8, 0.85, 0.9, 0.95, 1].map(
		(t) =>
			`<line x1="${x(t)}" x2="${x(t)}" y1="${SIZE.top}" y2="${height - SIZE.bottom}" stroke="#d6d0c8"/><text x="${x(t)}" y="${height - 16}" text-anchor="middle">${Math.round(t * 100)} %</text>`
	);
	return [
		`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${SIZE.width} ${height}" font-family="sans-serif" font-size="14" fill="#2b211c">`,
		`<rect width="${SIZE.width}" height="${height}" fill="#fdfcf8"/>`,
		`<rect x="${x(WANTED.low)}" y="${SIZE.top}" width="${x(WANTED.high) - x(WANTED.low)}" height="${height - SIZE.top - SIZE.bottom}" fill="#e4efe0"/>`,
		`<text x="20" y="20">Share of 95 % intervals that held the truth (green: wanted)</text>`,
		...ticks,
		...rows,
		'</svg>',
		''
	].join('\n');
}
