import { SWELLS } from '../verdicts';
import type { Answer, Inspected, Seen, Inspection, StopReason } from '../../picture';

/** Everything good, said in one go. */
export const ALL_GOOD: Record<Inspected, Answer> = {
	leak: 'good',
	smell: 'good',
	bulge: 'good',
	vent: 'good',
	dent: 'good',
	terminals: 'good',
	thread: 'good',
	sleeve: 'good'
};

/** How far a case stands out in the middle, and whether that is swelling; null where its thickness was not taken. */
export function swelling(
	thicknessMm: readonly (number | null)[] | null | undefined,
	nominalMm: number | null
): { outMm: number; mostMm: number; swollen: boolean } | null {
	const [foot = null, middle = null, top = null] = thicknessMm ?? [];
	const edges = [foot, top].filter((v): v is number => v !== null);
	const all = [...edges, ...(middle === null ? [] : [middle])];
	if (all.length === 0) return null;
	const outMm = middle !== null && edges.length ? middle - Math.min(...edges) : 0;
	const mostMm = Math.max(...all);
	return {
		outMm,
		mostMm,
		swollen: outMm > SWELLS.outMm || (nominalMm !== null && mostMm > nominalMm * (1 + SWELLS.share))
	};
}

const STOPS: readonly { key: Seen; reason: StopReason }[] = [
	{ key: 'leak', reason: 'leak' },
	{ key: 'smell', reason: 'smell' },
	{ key: 'heat', reason: 'heat' },
	{ key: 'bulge', reason: 'swelling' },
	{ key: 'vent', reason: 'vent' }
];

/** A case that leaks, or a vent that opened, stays so: neither wiping nor waiting mends it. */
export const CANNOT_BE_LIFTED: readonly StopReason[] = ['leak', 'vent'];

/** Whether what was written down lets the cell be used again. */
export const isLifted = (inspection: Inspection, reasons: readonly StopReason[]): boolean =>
	Boolean(inspection.resolved) && !reasons.some((reason) => CANNOT_BE_LIFTED.includes(reason));

export const stopReasons = (inspection: Inspection, nominalMm: number | null): StopReason[] => [
	...STOPS.flatMap(({ key, reason }) => (inspection[key] === 'bad' ? [reason] : [])),
	...(inspection.bulge !== 'bad' && swelling(inspection.thicknessMm, nominalMm)?.swollen ? (['swelling'] as const) : [])
];
