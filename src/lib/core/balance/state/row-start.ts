import { CHEMISTRY_FIGURES } from '../../foundation/chemistry';
import { cellSubject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import type { BalanceState } from './balance-state';
import { bankSubject, type BankPicture } from '../../picture';

/** A temperature read so long before tells nothing of the cells now, ms (default). */
const TEMPERATURE_HOLDS_MS = 12 * 3_600_000;

/** Coldest temperature at which the cells of a bank may be charged, °C. */
const coldLimitC = ({ bank, cellType }: BankPicture): number =>
	cellType?.chargeColdC ?? CHEMISTRY_FIGURES[bank.chemistry].chargeColdC;

/** Cells of a row that are below the temperature they may be charged at; null when none is, or none was read lately. */
export function rowCold(picture: BankPicture, state: BalanceState, nowIso: string): Verdict | null {
	const limitC = coldLimitC(picture);
	const inRow = new Set(state.cells.map((c) => c.id));
	const cold = picture.cells.flatMap((cell) => {
		const read = cell.readings.temperature;
		const isRecent = read && Math.abs(Date.parse(nowIso) - Date.parse(read.takenAt)) <= TEMPERATURE_HOLDS_MS;
		return inRow.has(cell.id) && isRecent && read.value < limitC ? [{ cell, temperatureC: read.value }] : [];
	});
	if (cold.length === 0) return null;
	const coldestC = Math.min(...cold.map((c) => c.temperatureC));
	const facts = { cells: cold.length, coldestC, limitC };
	return say(
		'row-cold',
		'stop',
		bankSubject(picture),
		facts,
		cold.map((c) => cellSubject(c.cell))
	);
}

/** Something that forbids switching the supply of a row on, with what to do. */
export interface StartRefusal {
	path: string;
	message: string;
}

/**
 * What is missing before the supply of a row may be switched on: each cell read at rest and the right way round, none that something
 * stops, none too far from the others, none below freezing, none in another charge. Empty: nothing forbids it.
 * @param busy cells of the row that another charge or test drives now, with its name
 */
export function startRefusals(
	picture: BankPicture,
	state: BalanceState,
	nowIso: string,
	busy: readonly { label: string; where: string }[]
): StartRefusal[] {
	const join = state.join?.verdict;
	const cold = rowCold(picture, state, nowIso);
	const said = [...(join && join.code !== 'join-checked' ? [join] : []), ...(cold ? [cold] : [])];
	return [
		...(state.cells.length === 0
			? [{ path: 'cellIds', message: 'No cell is in this row. Choose its cells first.' }]
			: []),
		...state.stopped.map(({ label, why }) => ({
			path: 'cellIds',
			message: `${label} must not be charged: ${why}. Take it out of the row.`
		})),
		...busy.map(({ label, where }) => ({
			path: 'cellIds',
			message: `${label} is being charged or tested already (${where}). End that first.`
		})),
		...said.map(({ title, finding, members, next }) => ({
			path: 'cellIds',
			message: `${title}${members.length ? ` (${members.map((m) => m.label).join(', ')})` : ''}. ${finding}${next ? ` ${next}` : ''}`
		}))
	];
}
