import 'reflect-metadata';
import {
	ArrayMaxSize,
	IsBoolean,
	IsIn,
	IsInt,
	IsNumber,
	IsOptional,
	IsString,
	Max,
	MaxLength,
	Min,
	MinLength,
	ValidateBy,
	isISO8601
} from 'class-validator';

type Field = PropertyDecorator;

const all =
	(...fields: Field[]): Field =>
	(target, key) =>
		fields.forEach((field) => field(target, key));

/** A finite number in [min, max]; the message says the range. */
export const Num = (min: number, max: number): Field => {
	const message = `$property requires a number from ${min} to ${max}`;
	return all(
		IsNumber({ allowInfinity: false, allowNaN: false }, { message }),
		Min(min, { message }),
		Max(max, { message })
	);
};
/** A whole number in [min, max]. */
export const Whole = (min: number, max: number): Field => {
	const message = `$property requires a whole number from ${min} to ${max}`;
	return all(IsInt({ message }), Min(min, { message }), Max(max, { message }));
};
/** Text of at most `max` characters, at least `min`. */
export const Text = (max: number, min = 0): Field => {
	const message =
		min > 0
			? `$property requires text of ${min} to ${max} characters`
			: `$property requires text of at most ${max} characters`;
	return all(IsString({ message }), MinLength(min, { message }), MaxLength(max, { message }));
};
/** One of a list of words. */
export const OneOf = (words: readonly string[]): Field =>
	IsIn([...words], { message: `$property requires one of ${words.join(', ')}` });
export const EachOneOf = (words: readonly string[]): Field =>
	IsIn([...words], { each: true, message: `$property requires only ${words.join(', ')}` });
/** Calendar dates and times only: no weeks, no days of the year. */
const CALENDAR = /^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2}(:\d{2}(\.\d{1,9})?)?(Z|[+-]\d{2}:?\d{2})?)?$/;
/** Years a record can be of. */
const YEARS = { from: 1900, to: 2200 };

/** Whether a text is a moment that can be kept. */
export function isMoment(value: unknown): value is string {
	if (typeof value !== 'string' || value.length > 40 || !CALENDAR.test(value)) return false;
	if (!isISO8601(value, { strict: true })) return false;
	const year = new Date(value).getUTCFullYear();
	return year >= YEARS.from && year <= YEARS.to;
}

/** A check of our own, with its message. */
const checkedBy = (name: string, validate: (value: unknown) => boolean, message: string): Field =>
	ValidateBy({ name, validator: { validate, defaultMessage: () => message } });

/** A date or date and time in ISO 8601. */
export const When = (): Field =>
	checkedBy('when', isMoment, '$property requires a date like 2026-03-09 or 2026-03-09T14:05:00Z');
/** What a sender calls one request of its own, so that it may be sent again. */
export const ClientKey = (): Field => Text(80, 1);

const MAX_TICKS = 60;
/** A list of things done or not: key → true or false. */
export const Ticks = (): Field =>
	checkedBy(
		'ticks',
		(value) =>
			typeof value === 'object' &&
			value !== null &&
			!Array.isArray(value) &&
			Object.keys(value).length <= MAX_TICKS &&
			Object.entries(value).every(([key, done]) => key.length <= 40 && typeof done === 'boolean'),
		`$property requires at most ${MAX_TICKS} keys with true or false`
	);

/** No reading of a battery lies beyond, V. */
const MAX_VOLTS = 1000;
/** A list of volts, null where one was not read. */
export const VoltsOrNull = (): Field =>
	checkedBy(
		'volts-or-null',
		(value) =>
			Array.isArray(value) &&
			value.every((v) => v === null || (typeof v === 'number' && Number.isFinite(v) && Math.abs(v) <= MAX_VOLTS)),
		'$property requires numbers (volts), null where a group was not read'
	);
/** Three thicknesses, null where one was not taken. */
export const MaybeMillimetres = (): Field =>
	checkedBy(
		'millimetres',
		(value) =>
			Array.isArray(value) &&
			value.length === 3 &&
			value.every((v) => v === null || (typeof v === 'number' && v > 0 && v <= 1000)),
		'$property requires three thicknesses in mm, null where one was not taken'
	);
/** A list of finite numbers in [min, max]. */
export const Numbers = (min: number, max: number): Field =>
	checkedBy(
		'numbers',
		(value) =>
			Array.isArray(value) && value.every((v) => typeof v === 'number' && Number.isFinite(v) && v >= min && v <= max),
		`$property requires numbers from ${min} to ${max}`
	);
/** A list of volts without gaps. */
export const Volts = (): Field =>
	checkedBy(
		'volts',
		(value) =>
			Array.isArray(value) &&
			value.every((v) => typeof v === 'number' && Number.isFinite(v) && Math.abs(v) <= MAX_VOLTS),
		'$property requires numbers (volts)'
	);
/** Ages, years. */
export const Ages = (): Field =>
	checkedBy(
		'ages',
		(value) => Array.isArray(value) && value.every((v) => typeof v === 'number' && v >= 0 && v <= 100),
		'$property requires numbers from 0 to 100 (years)'
	);
const isPassing = (value: unknown): boolean =>
	value === null ||
	(typeof value === 'object' &&
		Number.isFinite((value as { ah?: unknown }).ah) &&
		Number.isFinite((value as { sdAh?: unknown }).sdAh) &&
		(value as { sdAh: number }).sdAh >= 0);
/** Ah counted when each group passed one voltage. */
export const GroupPassings = (): Field =>
	checkedBy(
		'passings',
		(value) => {
			if (typeof value !== 'object' || value === null) return false;
			const { voltageV, endAh, groups } = value as Record<string, unknown>;
			return Number.isFinite(voltageV) && Number.isFinite(endAh) && Array.isArray(groups) && groups.every(isPassing);
		},
		'$property requires voltageV, endAh and groups: one {ah, sdAh} a group, null where it never passed'
	);
export const YesNo = (): Field => IsBoolean({ message: '$property requires true or false' });
const isIdentity = (value: unknown): boolean =>
	Number.isFinite(value) || (typeof value === 'string' && value.length > 0 && value.length <= 80);
/** What a caller calls a thing: a text of 1 to 80 characters or a finite number. */
export const Identity = (): Field =>
	checkedBy('identity', isIdentity, '$property requires a text of 1 to 80 characters or a number');
const isBalance = (value: unknown): boolean =>
	['none', 'top', 'bottom'].includes(value as string) ||
	(typeof value === 'object' &&
		value !== null &&
		[(value as { activeA?: unknown }).activeA, (value as { hours?: unknown }).hours].every(
			(v) => typeof v === 'number' && Number.isFinite(v) && v >= 0 && v <= 100_000
		));
/** How a string is kept together. */
export const BalanceKind = (): Field =>
	checkedBy('balance', isBalance, '$property requires "none", "top", "bottom" or {activeA, hours}');
/** Lists of identities. */
const isLists = (value: unknown): boolean =>
	Array.isArray(value) &&
	value.length <= 1000 &&
	value.every((l) => Array.isArray(l) && l.length <= 2000 && l.every(isIdentity));
export const IdentityLists = (): Field => checkedBy('identities', isLists, '$property requires lists of identities');
/** One list of identities. */
export const Identities = (): Field =>
	checkedBy(
		'identity-list',
		(value) => Array.isArray(value) && value.length <= 2000 && value.every(isIdentity),
		'$property requires a list of identities'
	);
/** Groups of identities, one list each. */
export const IdentityGroups = (): Field =>
	checkedBy(
		'identities',
		// What is no list at all the simulation itself names by its place.
		(value) =>
			Array.isArray(value) &&
			value.every((group) => (Array.isArray(group) ? group.every(isIdentity) : typeof group !== 'object')),
		'$property requires lists of identities'
	);
/** May be missing or null. */
export const Maybe = (): Field => IsOptional();
export const AtMost = (items: number): Field =>
	ArrayMaxSize(items, { message: `$property takes at most ${items} entries` });
/** Lists of whole numbers above 0. */
export const WholeGroups = (): Field =>
	checkedBy(
		'groups',
		(value) =>
			Array.isArray(value) &&
			value.every((group) => Array.isArray(group) && group.every((id) => Number.isSafeInteger(id) && id > 0)),
		'$property requires lists of ids'
	);
