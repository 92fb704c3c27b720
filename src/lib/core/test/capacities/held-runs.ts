import { group } from 'd3-array';
import {
	capacitiesAtTemperature,
	toStandardConditions,
	usualShare,
	weakAtTemperature,
	type AtTemperature,
	type RoomRun
} from '../capacity';
import { RATED_C } from '../../foundation/chemistry';
import { CoreError } from '../../foundation/errors';
import { cellSubject, measured, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { oncePerPicture, bankSubject, type BankPicture, type PictureCell } from '../../picture';
import { wholeRuns } from './standard-runs';

/** A cell's runs at room temperature, brought to 25 °C at their own rate; those that cannot be are left out. */
function roomRuns(cell: PictureCell, picture: BankPicture): RoomRun[] {
	return wholeRuns(cell, cell.runs, picture).flatMap(({ run, cRate, ...counted }) => {
		try {
			const to = { cRate: 1, temperatureC: RATED_C };
			const { capacityAh, sdAh } = toStandardConditions(counted, run.temperatureC, null, to);
			return [{ cellId: cell.id, tester: run.tester, capacityAh, sdAh, cRate }];
		} catch (error) {
			if (!(error instanceof CoreError)) throw error;
			return [];
		}
	});
}

const heldOfBank = oncePerPicture((picture) => {
	const held = picture.cells.flatMap((cell) =>
		wholeRuns(cell, cell.heldRuns ?? [], picture).map(({ run, ...counted }) => ({
			cellId: cell.id,
			tester: run.tester,
			heldAtC: run.heldAtC!,
			temperatureC: run.temperatureC,
			...counted
		}))
	);
	if (held.length === 0) return { cells: [], missed: [] };
	return capacitiesAtTemperature(
		held,
		picture.cells.flatMap((cell) => roomRuns(cell, picture))
	);
});

/** What a cell gave at temperatures that were chosen on purpose. */
export const heldCapacities = (picture: BankPicture, cellId: number): AtTemperature[] =>
	heldOfBank(picture).cells.filter((c) => c.cellId === cellId);

/** What the cells of a bank gave at each temperature that was chosen, those that gave less than the others, and runs that missed theirs. */
export function heldVerdicts(picture: BankPicture): Verdict[] {
	const { cells, missed } = heldOfBank(picture);
	const byId = new Map(picture.cells.map((c) => [c.id, c]));
	const subjectOf = (id: number) => cellSubject(byId.get(id)!);
	const at = [...group(cells, (c) => c.temperatureC)];
	const weak = at.flatMap(([temperatureC, own]) =>
		weakAtTemperature(own).map(({ cellId, share, othersShare }) =>
			say('weak-at-temperature', 'look', subjectOf(cellId), {
				temperatureC,
				share: measured(share.value, share.sd),
				othersShare,
				cells: own.length
			})
		)
	);
	const lapses = missed.map(({ cellId, heldAtC, temperatureC }) =>
		say('temperature-missed', 'look', subjectOf(cellId), { heldAtC, temperatureC })
	);
	if (at.length === 0) return lapses;
	const told = at.map(([temperatureC, own]) => {
		const shares = own.flatMap((c) => (c.share ? [c.share] : []));
		const usual = usualShare(temperatureC);
		return {
			temperatureC,
			cells: own.length,
			compared: shares.length,
			shareLow: shares.length ? Math.min(...shares.map((s) => s.value - 1.96 * s.sd)) : null,
			shareHigh: shares.length ? Math.max(...shares.map((s) => s.value + 1.96 * s.sd)) : null,
			usualLow: usual.low,
			usualHigh: usual.high
		};
	});
	const members = [...new Set(cells.map((c) => c.cellId))].map(subjectOf);
	return [say('at-temperatures', 'calm', bankSubject(picture), { at: told }, members), ...weak, ...lapses];
}
