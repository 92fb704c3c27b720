import { socBounds, type Chemistry } from '$lib/core/foundation/chemistry';
import { INSPECTED, CRATE_REST_S } from '$lib/core/picture';
import { QUANTITY_FIGURES, READ_STATE_NAMES } from '$lib/core/foundation/reading';
import type { Verdict } from '$lib/core/foundation/verdicts';
import type { InspectionRow, Placement, Reading, Run, StorageTestRow, VerdictChange } from '../records';

/** Something that happened to a cell. */
export interface PassportEvent {
	at: string;
	kind:
		| 'arrival'
		| 'reading'
		| 'inspection'
		| 'run'
		| 'storage'
		| 'verdict'
		| 'said-before'
		| 'placement'
		| 'removal'
		| 'group'
		| 'note';
	title: string;
	detail: string | null;
	/** The run whose curve can be shown. */
	runId: number | null;
}

export const event = (
	at: string,
	kind: PassportEvent['kind'],
	title: string,
	detail: string | null = null,
	runId: number | null = null
): PassportEvent => ({ at, kind, title, detail, runId });

const upper = (text: string) => `${text[0]!.toUpperCase()}${text.slice(1)}`;

/** @param corrected the same with what its meter shows too much taken out; the reading itself where its meter was never calibrated */
export function readingEvent(
	reading: Reading,
	corrected: { value: number; sd: number; calibrated?: boolean },
	chemistry: Chemistry
): PassportEvent {
	const { label, unit, decimals } = QUANTITY_FIGURES[reading.quantity];
	const title = `${upper(label)} ${corrected.value.toFixed(decimals)} ± ${corrected.sd.toFixed(decimals)} ${unit}`;
	const how = reading.state === 'loose' ? '' : `, read ${READ_STATE_NAMES[reading.state]}`;
	const rough = reading.takenDoubtS ? ', about that time' : '';
	const by = corrected.calibrated ? ', corrected by the calibration of its meter' : '';
	const typed = `Typed "${reading.rawText}"${how}${rough}${by}`;
	// Only a loose cell's voltage tells its own charge.
	if (reading.quantity !== 'restVoltage' || reading.state !== 'loose')
		return event(reading.takenAt, 'reading', title, typed);
	const bounds = socBounds(chemistry, corrected.value, corrected.sd, reading.restS ?? CRATE_REST_S);
	const percent = (fraction: number) => Math.round(fraction * 100);
	const charge = `Fits ${percent(bounds.lowFraction)} to ${percent(bounds.highFraction)} % of charge`;
	return event(reading.takenAt, 'reading', title, `${typed}. ${charge}`);
}

/** What was answered on looking at a cell; what was not looked at is not named. */
export function inspectionEvent(looked: InspectionRow): PassportEvent {
	const of = (answer: string) => INSPECTED.filter((key) => looked[key] === answer);
	const parts = [
		of('bad').length ? `bad: ${of('bad').join(', ')}` : null,
		of('unsure').length ? `not sure: ${of('unsure').join(', ')}` : null,
		of('good').length ? `${of('good').length} good` : null,
		looked.thicknessMm?.some((mm) => mm !== null)
			? `${looked.thicknessMm.map((mm) => (mm === null ? '–' : mm.toFixed(1))).join(' / ')} mm at foot, middle, top`
			: null,
		looked.resolved ? `resolved: ${looked.resolved}` : null,
		looked.notes ?? null
	].filter(Boolean);
	return event(looked.inspectedAt, 'inspection', 'Looked at', `${upper(parts.join('; ') || 'nothing was answered')}.`);
}

/** The life of a run in the words of its conditions. */
export function runEvent(run: Run): PassportEvent {
	const conditions = [
		run.temperatureC === null ? 'temperature not recorded' : `${run.temperatureC.toFixed(0)} °C`,
		run.cRate === null ? null : `${run.cRate.toFixed(2)} C`
	]
		.filter(Boolean)
		.join(', ');
	const faults = run.faults?.length ?? 0;
	const found = faults ? `; ${faults} ${faults === 1 ? 'thing' : 'things'} found in the log` : '';
	const detail =
		run.source === 'hand'
			? `Entered by hand; ${conditions}, as measured`
			: `Log ${run.fileName ?? ''}; ${conditions}, as measured${found}`;
	const curveOf = run.source === 'log' ? run.id : null;
	return event(run.testedAt, 'run', `Capacity run: ${run.capacityAh.toFixed(1)} Ah`, detail, curveOf);
}

/** A test of self-discharge: its charge, and what it took again. */
export function storageEvents({ chargedAt, dueOn, refillAh, refilledAt }: StorageTestRow): PassportEvent[] {
	const began = event(chargedAt, 'storage', 'Charged full, to stand', `To be charged again on ${dueOn.slice(0, 10)}.`);
	if (refillAh === null || refillAh === undefined || !refilledAt) return [began];
	return [began, event(refilledAt, 'storage', `Charged again: it took ${refillAh.toFixed(2)} Ah`)];
}

export const verdictEvent = (at: string, verdict: Verdict): PassportEvent =>
	event(at, 'verdict', verdict.title, [verdict.finding, verdict.doubt].filter(Boolean).join(' '));

export function placementEvents(placement: Placement, bankName: string): PassportEvent[] {
	const where = `Battery ${placement.battery}, group ${placement.position}`;
	const placed = event(placement.placedAt, 'placement', `Placed in ${bankName}`, where);
	return placement.removedAt ? [placed, event(placement.removedAt, 'removal', `Taken out of ${bankName}`)] : [placed];
}

const CAUSE_WORDS: Record<string, string> = {
	readings: 'a reading',
	runs: 'a capacity run',
	settings: 'the meter, as the settings describe it',
	'cell-types': 'the cell type’s figures',
	banks: 'the plan of the bank',
	calibrations: 'a calibration of the meter',
	inspections: 'an inspection',
	'storage-tests': 'a test of self-discharge',
	cells: 'its code or its name',
	deliveries: 'what was promised of the delivery',
	clauses: 'what its maker promises',
	placements: 'a placement',
	rule: 'a rule of this program',
	time: 'time'
};

/** What a verdict on the cell said before it changed: until when, and why. */
export function saidBeforeEvent(change: VerdictChange, saidBefore: Verdict): PassportEvent {
	const causes = [...new Set(change.cause.map((c) => CAUSE_WORDS[c.kind] ?? c.kind))].join(', ');
	const now = change.saysNow ? `Now: ${change.saysNow.title}.` : 'It no longer stands.';
	return event(change.changedAt, 'said-before', `Until here: ${saidBefore.title}`, `${now} Changed by ${causes}.`);
}
