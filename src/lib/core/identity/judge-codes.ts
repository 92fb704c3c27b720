import { group } from 'd3-array';
import type { Chemistry } from '../chemistry';
import { MONTH_DAYS_MEAN } from '../shared';
import { cellSubject, say, type Subject, type Verdict } from '../verdicts';
import { plainCode, readCellCode } from './cell-code';

export interface CodedCell {
	id: number;
	label: string;
	code: string | null;
	/** Other cells of the stock that bear the same code, wherever they are. */
	twins: readonly { id: number; label: string }[];
}

export interface CodeContext {
	chemistry: Chemistry;
	/** ISO 8601. */
	receivedOn: string;
	/** Made on this day or later, as promised; null: nothing was. */
	promisedProducedOn: string | null;
}

/** Older at arrival is worth a word (default), months. */
const OLD_MONTHS = 12;
const MONTH_MS = MONTH_DAYS_MEAN * 86_400_000;

/** What the codes of a delivery say against its label, its promise and each other. Cells without a code take no part. */
export function judgeCodes(cells: readonly CodedCell[], context: CodeContext, delivery: Subject): Verdict[] {
	const read = cells.flatMap((cell) =>
		cell.code && plainCode(cell.code) !== '' ? [{ cell, code: plainCode(cell.code), ...readCellCode(cell.code) }] : []
	);
	if (read.length === 0) return [];
	const arrivedMs = Date.parse(context.receivedOn);
	const own = read.flatMap(({ cell, code, productionDate, chemistry, warnings }): Verdict[] => {
		const subject = cellSubject(cell);
		const [first] = warnings;
		if (first && productionDate === null)
			return [say('code-unreadable', 'open', subject, { code, why: first.message })];
		if (chemistry !== null && chemistry !== context.chemistry)
			return [say('code-chemistry', 'look', subject, { code, says: chemistry, wanted: context.chemistry })];
		if (productionDate !== null && Date.parse(productionDate) > arrivedMs)
			return [
				say('code-after-arrival', 'look', subject, {
					code,
					producedOn: productionDate,
					receivedOn: context.receivedOn.slice(0, 10)
				})
			];
		if (
			productionDate !== null &&
			context.promisedProducedOn !== null &&
			productionDate < context.promisedProducedOn.slice(0, 10)
		)
			return [
				say('code-older-than-promised', 'look', subject, {
					code,
					producedOn: productionDate,
					promisedOn: context.promisedProducedOn.slice(0, 10)
				})
			];
		return [];
	});
	return [
		...own,
		...twinVerdicts(read.map(({ cell, code }) => ({ cell, code }))),
		...ageVerdict(read, arrivedMs, delivery)
	];
}

/** A code is borne by one cell. */
function twinVerdicts(read: readonly { cell: CodedCell; code: string }[]): Verdict[] {
	return [...group(read, (r) => r.code)].flatMap(([code, bearers]) => {
		const all = new Map(
			bearers.flatMap(({ cell }) => [
				[cell.id, cell.label] as const,
				...cell.twins.map((t) => [t.id, t.label] as const)
			])
		);
		if (all.size < 2) return [];
		const [first, ...others] = [...all].map(([id, label]) => cellSubject({ id, label }));
		return [say('code-twice', 'look', first!, { code, cells: all.size }, others)];
	});
}

function ageVerdict(
	read: readonly { productionDate: string | null }[],
	arrivedMs: number,
	delivery: Subject
): Verdict[] {
	const months = read.flatMap((r) => {
		const age = r.productionDate === null ? -1 : (arrivedMs - Date.parse(r.productionDate)) / MONTH_MS;
		return age >= 0 ? [age] : [];
	});
	if (months.length === 0) return [];
	const [youngest, oldest] = [Math.min(...months), Math.max(...months)];
	const facts = { cells: months.length, youngestMonths: youngest, oldestMonths: oldest, oldMonths: OLD_MONTHS };
	return [say('age-at-arrival', oldest > OLD_MONTHS ? 'open' : 'calm', delivery, facts)];
}
