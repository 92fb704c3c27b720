import { group } from 'd3-array';
import type { Chemistry } from '../../foundation/chemistry';
import { MONTH_DAYS_MEAN } from '../../foundation/time';
import { cellSubject, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { plainCode, readCellCode } from './cell-code';

export interface CodedCell {
	id: number;
	label: string;
	code: string | null;
	/** Year and month printed on it, `2024-05`; null or missing: none was typed. */
	printedMonth?: string | null;
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
	const printed = cells.flatMap((cell) => (cell.printedMonth ? [{ cell, month: cell.printedMonth }] : []));
	if (read.length === 0 && printed.length === 0) return [];
	const codeDate = new Map(read.map((r) => [r.cell.id, r.productionDate]));
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
		...printed.flatMap(({ cell, month }) => printVerdicts(cell, month, codeDate.get(cell.id) ?? null, context)),
		...ageVerdict(read, onlyPrinted(printed, codeDate), arrivedMs, delivery)
	];
}

/** The last day of a month like `2024-05`, ISO. */
const lastOf = (month: string): string =>
	new Date(Date.UTC(Number(month.slice(0, 4)), Number(month.slice(5, 7)), 0)).toISOString().slice(0, 10);
/** Cells dated by their print alone. */
const onlyPrinted = (
	printed: readonly { cell: CodedCell; month: string }[],
	codeDate: ReadonlyMap<number, string | null>
) =>
	printed
		.filter(({ cell }) => (codeDate.get(cell.id) ?? null) === null)
		.map(({ month }) => ({ productionDate: `${month}-15` }));
/** A print and a code of one cell this far apart contradict each other (default), days. */
const PRINT_APART_DAYS = 62;
const DAY_MS = 86_400_000;

/** What the month printed on a cell says against its code, the promise and the day it came. */
function printVerdicts(
	cell: CodedCell,
	month: string,
	codeDate: string | null,
	{ promisedProducedOn, receivedOn }: CodeContext
): Verdict[] {
	const subject = cellSubject(cell);
	const apartDays = codeDate === null ? 0 : Math.abs(Date.parse(codeDate) - Date.parse(`${month}-15`)) / DAY_MS;
	if (apartDays > PRINT_APART_DAYS)
		return [say('print-and-code-apart', 'look', subject, { month, producedOn: codeDate! })];
	if (codeDate !== null) return [];
	if (`${month}-01` > receivedOn.slice(0, 10))
		return [say('print-after-arrival', 'look', subject, { month, receivedOn: receivedOn.slice(0, 10) })];
	if (promisedProducedOn !== null && lastOf(month) < promisedProducedOn.slice(0, 10))
		return [say('print-older-than-promised', 'look', subject, { month, promisedOn: promisedProducedOn.slice(0, 10) })];
	return [];
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

/** A printed month is taken at its middle: so much is left open. */
const HALF_MONTH = 0.5;

function ageVerdict(
	read: readonly { productionDate: string | null }[],
	printed: readonly { productionDate: string }[],
	arrivedMs: number,
	delivery: Subject
): Verdict[] {
	const months = [...read, ...printed].flatMap((r) => {
		const age = r.productionDate === null ? -1 : (arrivedMs - Date.parse(r.productionDate)) / MONTH_MS;
		return age >= 0 ? [age] : [];
	});
	if (months.length === 0) return [];
	const [youngest, oldest] = [Math.min(...months), Math.max(...months)];
	const doubtMonths = printed.length ? HALF_MONTH : 0;
	const facts = {
		cells: months.length,
		youngestMonths: youngest,
		oldestMonths: oldest,
		doubtMonths,
		oldMonths: OLD_MONTHS
	};
	return [say('age-at-arrival', oldest + doubtMonths > OLD_MONTHS ? 'open' : 'calm', delivery, facts)];
}
