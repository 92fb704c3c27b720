import 'reflect-metadata';
import {
	ArrayMaxSize,
	IsBoolean,
	IsIn,
	IsInt,
	IsISO8601,
	IsNumber,
	IsOptional,
	IsString,
	Max,
	MaxLength,
	Min,
	MinLength,
	ValidateBy
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
/** A date or date and time in ISO 8601. */
export const When = (): Field =>
	IsISO8601({ strict: true }, { message: '$property requires a date like 2026-03-09 or 2026-03-09T14:05:00Z' });
export const YesNo = (): Field => IsBoolean({ message: '$property requires true or false' });
/** What a caller calls a thing: a text of 1 to 80 characters or a finite number. */
export const Identity = (): Field =>
	ValidateBy({
		name: 'identity',
		validator: {
			validate: (value: unknown) =>
				Number.isFinite(value) || (typeof value === 'string' && value.length > 0 && value.length <= 80),
			defaultMessage: () => '$property requires a text of 1 to 80 characters or a number'
		}
	});
/** May be missing or null. */
export const Maybe = (): Field => IsOptional();
export const AtMost = (items: number): Field =>
	ArrayMaxSize(items, { message: `$property takes at most ${items} entries` });
