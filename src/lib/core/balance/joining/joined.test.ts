import { describe, expect, it } from 'vitest';
import { joinedVerdicts, type JoinedCell } from '.';

const cell = (id: number, value: number | null, takenAt = '2026-03-09T10:00:00Z'): JoinedCell => ({
	id,
	label: `C-0${id}`,
	joined: value === null ? null : { value, sd: 0.001, takenAt }
});

describe('readings of cells that are joined', () => {
	it('names the one that stands apart: its bar does not carry', () => {
		const verdicts = joinedVerdicts([cell(1, 3.401), cell(2, 3.4), cell(3, 3.341), cell(4, 3.402)]);
		expect(verdicts).toMatchObject([{ code: 'joined-apart', warmth: 'look', subject: { id: 3 } }]);
		expect((verdicts[0]!.facts.differenceV as { value: number }).value).toBeCloseTo(-0.0595, 4);
	});
	it('says nothing of what a bar drops while a charge flows', () =>
		expect(joinedVerdicts([cell(1, 3.408), cell(2, 3.4), cell(3, 3.397)])).toEqual([]));
	it('compares one round of readings, not yesterday with today', () => {
		const yesterday = '2026-03-08T10:00:00Z';
		expect(joinedVerdicts([cell(1, 3.4), cell(2, 3.4), cell(3, 3.3, yesterday), cell(4, 3.401)])).toEqual([]);
	});
	it('needs three', () => expect(joinedVerdicts([cell(1, 3.4), cell(2, 3.1), cell(3, null)])).toEqual([]));
});
