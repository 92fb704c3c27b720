import type { EntryField, NextStep } from '$lib/core/balance/steps';
import type { MethodEntry } from '$lib/core/picture';
import type { Passings } from '$lib/core/foundation/snapshot';
import { parseNumber } from '$lib/core/foundation/units';

type Figure = Exclude<EntryField, 'volts' | 'words' | 'asked'>;
export const FIELD_LABELS: Record<Figure, { label: string; unit: string }> = {
	voltageV: { label: 'Read', unit: 'V' },
	currentA: { label: 'Current', unit: 'A' },
	ah: { label: 'Counted', unit: 'Ah' },
	wh: { label: 'Counted', unit: 'Wh' }
};

/** What a step is called in the list of what was done. */
export const STEP_NAMES: Record<string, string> = {
	'stage-1': 'first discharge',
	'rested-1': 'first rest',
	'stage-2': 'second discharge',
	'rested-2': 'last rest',
	again: 'taken down once more',
	'charge-began': 'charge began',
	'first-charge': 'watched in the first charge',
	began: 'charge in series began',
	tripped: 'the BMS stopped it',
	'links-read': 'links read',
	finished: 'full',
	read: 'read near full',
	clamp: 'clamp on a lead, balancer on',
	'clamp-off': 'clamp, balancer off',
	smoke: 'smoke',
	'made-safe': 'made safe',
	'off-evening': 'evening, off',
	'off-morning': 'morning, off',
	'on-evening': 'evening, on',
	'on-morning': 'morning, on',
	rest: 'at rest',
	joined: 'joined',
	full: 'full side by side',
	before: 'run before',
	after: 'run after',
	'series-full': 'full in series',
	'low-trip': 'stopped at empty',
	'high-trip': 'stopped at full'
};

/** Volts of every group as an instrument or a log gave them. */
export interface TakenVolts extends Pick<MethodEntry, 'currentA'> {
	volts: readonly number[];
	passings: Passings | null;
	/** ISO 8601; null: it did not say. */
	at: string | null;
}

/** Which line of a log a step is about: of an evening its first, of a morning its last, else the nearest to full. */
export const momentWanted = (step: string): 'first' | 'last' | 'fullest' =>
	step.endsWith('-evening') ? 'first' : step.endsWith('-morning') ? 'last' : 'fullest';

/** A step as it is typed. */
export type TypedEntry = Record<Figure, number | null> & { volts: string; words: string; asked: boolean };
export type WrittenEntry = Omit<MethodEntry, 'id' | 'version' | 'doneAt'> & { doneAt: string };

/** Volts as they are typed, with spaces or semicolons between; what is no number stays NaN. Null: nothing is typed. */
export function voltsOf(text: string): number[] | null {
	const parts = text.split(/[\s;]+/).filter(Boolean);
	return parts.length ? parts.map((part) => parseNumber(part) ?? NaN) : null;
}

/** What is sent: only what the step asks for. @param passings of the log that its volts are a line of */
export function entryOf(
	step: NextStep,
	typed: TypedEntry,
	doneAt: string,
	passings: Passings | null = null
): WrittenEntry {
	const asked = (field: EntryField) => step.asks.includes(field);
	const figure = (field: Figure) => (asked(field) ? typed[field] : null);
	return {
		step: step.step,
		cellId: step.cell?.id ?? null,
		unit: step.unit,
		doneAt,
		voltageV: figure('voltageV'),
		currentA: figure('currentA'),
		ah: figure('ah'),
		wh: figure('wh'),
		...(asked('volts') ? { volts: voltsOf(typed.volts), passings } : { volts: null }),
		asked: asked('asked') ? typed.asked : null,
		words: asked('words') && typed.words.trim() ? typed.words.trim() : null
	};
}

/** An entry in a line. */
export function entryWords(e: MethodEntry): string {
	const parts = [
		e.voltageV === null ? null : `${e.voltageV.toFixed(3)} V`,
		e.currentA === null ? null : `${e.currentA.toFixed(1)} A`,
		e.ah === null ? null : `${e.ah.toFixed(1)} Ah`,
		e.wh === null ? null : `${e.wh.toFixed(0)} Wh`,
		e.volts === null ? null : e.volts.map((v) => v.toFixed(3)).join(' '),
		e.words
	];
	return parts.filter(Boolean).join(' · ');
}
