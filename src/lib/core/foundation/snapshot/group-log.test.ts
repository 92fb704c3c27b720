import { describe, expect, it } from 'vitest';
import { CoreError } from '../errors';
import { apartByPassings, fullestMoment, groupPassings, parseGroupLog } from '.';

/** Three groups charged at 10 A from 3.38 V on; the second so many minutes behind. */
function log({ header = 'time_s,current_A,cell1,cell2,cell3', mv = false, behind = 12 } = {}): string {
	const volts = (minute: number) => 3.38 + Math.max(0, minute) * 0.002;
	const lines = Array.from({ length: 80 }, (_, i) =>
		[
			i * 60,
			10,
			...[0, behind, 0].map((late) => (mv ? Math.round(volts(i - late) * 1000) : volts(i - late).toFixed(3)))
		].join(',')
	);
	return [header, ...lines].join('\n');
}
const question = { chemistry: 'LFP' as const, groupAh: 100, meterSdV: 0.0005 };

describe('a log of groups near full', () => {
	it('tells Ah between the passings: twelve minutes at 10 A are 2 Ah', () => {
		const { samples, groups, passedOver } = parseGroupLog(log());
		expect(groups).toEqual(['cell1', 'cell2', 'cell3']);
		expect(passedOver).toBe(0);
		const apart = apartByPassings(groupPassings({ ...question, samples })!)!;
		expect(apart.likely).toBeCloseTo(2, 1);
		expect(apart.low95).toBeLessThan(2);
		expect(apart.high95).toBeGreaterThan(2);
	});
	it('finds the moment nearest to full, wherever it lies', () => {
		const sample = (atMs: number, groupsV: number[] | null) => ({ atMs, currentA: 10, groupsV });
		const samples = [sample(0, [3.4, 3.5]), sample(1, [3.45, 3.6]), sample(2, null), sample(3, [3.61, 3.4])];
		expect(fullestMoment(samples).atMs).toBe(1);
	});
	it('reads millivolts, other headers, clocks over midnight, and leaves sums and temperatures out', () => {
		const lines = Array.from({ length: 20 }, (_, i) => {
			const minute = 23 * 60 + 50 + i;
			const clock = `${String(Math.floor(minute / 60) % 24).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}:00`;
			return `${clock};10,5;3400;3401;6801;22`;
		});
		const { samples, groups } = parseGroupLog(
			['Zeit;Strom (A);Zelle 1 mV;Zelle 2 mV;Pack total;Temp', ...lines].join('\n')
		);
		expect(groups).toEqual(['Zelle 1 mV', 'Zelle 2 mV']);
		expect(samples).toHaveLength(20);
		expect(samples[0]).toMatchObject({ currentA: 10.5, groupsV: [3.4, 3.401] });
		expect(samples.at(-1)!.atMs - samples[0]!.atMs).toBe(19 * 60_000);
	});
	it('passes over what is no number, and says what is missing', () => {
		const text = log().split('\n');
		text[5] = 'a,b,c,d,e';
		expect(parseGroupLog(text.join('\n'))).toMatchObject({ passedOver: 1 });
		expect(() => parseGroupLog(log({ header: 'x,current,cell1,cell2,cell3' }))).toThrow(/time/);
		expect(() => parseGroupLog(log({ header: 'time,y,cell1,cell2,cell3' }))).toThrow(/current/);
		expect(() => parseGroupLog('time,current\n1,2')).toThrow(CoreError);
		expect(() => parseGroupLog('')).toThrow(CoreError);
		expect(() => parseGroupLog(text.slice(0, 5).join('\n'))).toThrow(/10 or more/);
	});
});
