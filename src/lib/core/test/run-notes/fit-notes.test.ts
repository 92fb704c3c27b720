import { describe, expect, it } from 'vitest';
import { completeCell, simulateDischarge } from '../../world/cell-model';
import { fitNotes, type NotedRun, type SpotNote } from '.';

const CAPACITY_AH = 206;
const CURRENT_A = 20;
const run = simulateDischarge(
	{ parameters: completeCell({ chemistry: 'LFP', capacityAh: CAPACITY_AH }), soc: 1 },
	CURRENT_A,
	2.5,
	20,
	20
);
/** What a display shows after a share of the discharge. */
const noteAt = (share: number): Required<SpotNote> => {
	const i = Math.round(share * (run.timeS.length - 1));
	return {
		timeS: run.timeS[i]!,
		ah: Number(((run.timeS[i]! * CURRENT_A) / 3600).toFixed(1)),
		voltageV: Number(run.voltageV[i]!.toFixed(3))
	};
};
const noted = (notes: SpotNote[], more: Partial<NotedRun> = {}): NotedRun => ({
	chemistry: 'LFP',
	ratedAh: 200,
	load: { currentA: -CURRENT_A },
	cutoffV: 2.5,
	notes,
	...more
});
const width = ({ low95, high95 }: { low95: number; high95: number }) => high95 - low95;

describe('a run known by a few lines', () => {
	it('notes down to the knee tell the capacity within 2 % and hold the truth', () => {
		const fit = fitNotes(noted([0.1, 0.5, 0.9, 0.97].map(noteAt)));
		expect(fit.capacityAh.low95).toBeLessThan(run.capacityAh);
		expect(fit.capacityAh.high95).toBeGreaterThan(run.capacityAh);
		expect(width(fit.capacityAh) / CAPACITY_AH).toBeLessThan(0.025);
		expect(fit.oddNote).toBeNull();
	});
	it('the end comes when the capacity is out, and the look before it', () => {
		const fit = fitNotes(noted([0.1, 0.5, 0.9].map(noteAt)));
		expect(fit.finishS.likely).toBeCloseTo((fit.capacityAh.likely / CURRENT_A) * 3600, -3);
		expect(fit.lookAgainS).toBeLessThan(0.95 * run.timeS.at(-1)! + 1);
		expect(fit.lookAgainS).toBeGreaterThanOrEqual(noteAt(0.9).timeS!);
	});
	it('on the plateau alone it knows little, and says so', () => {
		const early = fitNotes(noted([0.1, 0.3, 0.5].map(noteAt)));
		const late = fitNotes(noted([0.1, 0.5, 0.95].map(noteAt)));
		expect(width(early.capacityAh)).toBeGreaterThan(3 * width(late.capacityAh));
		expect(early.capacityAh.low95).toBeLessThan(run.capacityAh);
		expect(early.capacityAh.high95).toBeGreaterThan(run.capacityAh);
	});
	it('a log that begins at 3.61 V, fresh from a top balance, is neither odd nor more full', () => {
		const first = (voltageV: number): SpotNote => ({ timeS: 0, ah: 0, voltageV });
		const later = [0.1, 0.5, 0.9, 0.97].map(noteAt);
		const fit = fitNotes(noted([first(3.61), { timeS: 60, ah: 0.3, voltageV: 3.598 }, ...later]));
		expect(fit.oddNote).toBeNull();
		expect(fit.capacityAh.low95).toBeLessThan(run.capacityAh);
		expect(fit.capacityAh.high95).toBeGreaterThan(run.capacityAh);
		// Above the charge limit, or low, it is odd all the same.
		expect(fitNotes(noted([first(3.8), ...later])).oddNote).toBe(0);
		expect(fitNotes(noted([first(3.1), ...later])).oddNote).toBe(0);
	});
	it('times alone, Ah alone and watts do as well, with the doubt of the load', () => {
		const shares = [0.1, 0.5, 0.9, 0.97];
		const only = (keys: (keyof SpotNote)[]) =>
			shares.map(noteAt).map((n) => Object.fromEntries(keys.map((k) => [k, n[k]])) as SpotNote);
		const byTime = fitNotes(noted(only(['timeS', 'voltageV'])));
		const byAh = fitNotes(noted(only(['ah', 'voltageV'])));
		const byWatts = fitNotes(noted(shares.map(noteAt), { load: { powerW: 64 } }));
		for (const fit of [byTime, byAh, byWatts]) {
			expect(fit.capacityAh.low95).toBeLessThan(run.capacityAh);
			expect(fit.capacityAh.high95).toBeGreaterThan(run.capacityAh);
		}
		expect(width(byTime.capacityAh)).toBeGreaterThan(width(byAh.capacityAh));
	});
	it('two slipped figures do not make it sure: the truth stays within, and it says that no run fits', () => {
		const lines = [0.1, 0.3, 0.5, 0.7, 0.9].map(noteAt);
		const [second, fourth] = [lines[1]!, lines[3]!];
		const fit = fitNotes(
			noted([
				lines[0]!,
				{ ...second, voltageV: second.voltageV! + 0.06 },
				lines[2]!,
				{ ...fourth, voltageV: fourth.voltageV! - 0.09 },
				lines[4]!
			])
		);
		expect(fit.fits).toBe(false);
		expect(fit.capacityAh.low95).toBeLessThan(run.capacityAh);
		expect(fit.capacityAh.high95).toBeGreaterThan(run.capacityAh);
		expect(fitNotes(noted(lines)).fits).toBe(true);
	});
	it('a last note down in the knee is a cell that holds less, not a slip', () => {
		const worn = simulateDischarge(
			{ parameters: completeCell({ chemistry: 'LFP', capacityAh: 130 }), soc: 1 },
			CURRENT_A,
			2.5,
			20,
			20
		);
		const lines = [0.1, 0.3, 0.5, 0.96].map((share) => {
			const i = Math.round(share * (worn.timeS.length - 1));
			return { timeS: worn.timeS[i]!, voltageV: Number(worn.voltageV[i]!.toFixed(3)) };
		});
		const fit = fitNotes(noted(lines));
		expect(fit.oddNote).toBeNull();
		expect(fit.capacityAh.low95).toBeLessThan(130);
		expect(fit.capacityAh.high95).toBeGreaterThan(129);
		expect(fit.capacityAh.likely).toBeLessThan(145);
	});
	it('a slipped probe and a turned digit are named, and nothing else', () => {
		const shares = [0.1, 0.3, 0.5, 0.7, 0.95];
		const slipped = shares.map(noteAt);
		slipped[2] = { ...slipped[2]!, voltageV: slipped[2]!.voltageV! - 0.06 };
		expect(fitNotes(noted(slipped)).oddNote).toBe(2);
		const turned = shares.map(noteAt);
		turned[1] = { ...turned[1]!, ah: 16.8 };
		expect(fitNotes(noted(turned)).oddNote).toBe(1);
		expect(fitNotes(noted(shares.map(noteAt))).oddNote).toBeNull();
	});
	it.each([
		[noted([noteAt(0.5)], { load: { currentA: 20, powerW: 64 } }), /exactly one/],
		[noted([noteAt(0.5)], { load: {} }), /exactly one/],
		[noted([{ timeS: 60 }]), /one line or more with volts/],
		[noted([{ timeS: -60, voltageV: 3.2 }]), /notes.0.timeS/],
		[noted([noteAt(0.5)], { cutoffV: 12 }), /cutoffV requires less/],
		[noted([noteAt(0.5)], { ratedAh: 0 }), /ratedAh/]
	])('refuses what cannot be', (bad, message) => expect(() => fitNotes(bad)).toThrow(message));
});

describe('figures that cannot be of one cell', () => {
	it.each([
		[{ load: { currentA: -1e5 } }, 'load.currentA'],
		[{ load: { powerW: -1e7 } }, 'load.powerW'],
		[{ ratedAh: 0.1 }, 'load.currentA']
	])('%j is refused with its path', (more, path) =>
		expect(() => fitNotes(noted([0.1, 0.5].map(noteAt), more))).toThrow(path)
	);
	it('50 000 Ah noted of a cell of 200 Ah', () =>
		expect(() => fitNotes(noted([{ ...noteAt(0.1), ah: 50_000 }, noteAt(0.5)]))).toThrow('notes.0.ah'));
});
