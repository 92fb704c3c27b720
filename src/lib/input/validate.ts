import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import {
	ValidationTypes,
	getMetadataStorage,
	validateSync,
	type MetadataStorage,
	type ValidationError
} from 'class-validator';

export interface FieldFault {
	/** Dotted path of the field, e.g. `cells.3.capacityAh`. */
	path: string;
	message: string;
}

/** Input that did not pass validation; every bad field with its path. */
export class InputError extends Error {
	readonly code = 'invalid-input';
	constructor(readonly faults: FieldFault[]) {
		super(faults.map((f) => `${f.path}: ${f.message}`).join('; '));
		this.name = 'InputError';
	}
}

function flatten(errors: readonly ValidationError[], prefix = ''): FieldFault[] {
	return errors.flatMap((error) => {
		const path = `${prefix}${error.property}`;
		const own = [...new Set(Object.values(error.constraints ?? {}))].map((message) => ({ path, message }));
		return [...own, ...flatten(error.children ?? [], `${path}.`)];
	});
}

const nestedByClass = new WeakMap<object, string[]>();

/** Fields of a class that hold objects of their own; looked up once a class. */
function nestedOf(kind: Parameters<MetadataStorage['getTargetValidationMetadatas']>[0]): string[] {
	const known = nestedByClass.get(kind);
	if (known) return known;
	const all = getMetadataStorage().getTargetValidationMetadatas(kind, '', true, false);
	const nested = all.filter((m) => m.type === ValidationTypes.NESTED_VALIDATION).map((m) => m.propertyName);
	const names = [...new Set(nested)];
	nestedByClass.set(kind, names);
	return names;
}

/** Lists where a list of objects has an object: the validator takes them for objects of their own. */
function nestedLists(instance: object, prefix = ''): FieldFault[] {
	return nestedOf(instance.constructor).flatMap((name) => {
		const value = (instance as Record<string, unknown>)[name];
		if (!Array.isArray(value)) return isObject(value) ? nestedLists(value, `${prefix}${name}.`) : [];
		return value.flatMap((item: unknown, i) => {
			const path = `${prefix}${name}.${i}`;
			if (Array.isArray(item)) return [{ path, message: `${name}.${i} requires an object, got a list` }];
			return isObject(item) ? nestedLists(item, `${path}.`) : [];
		});
	});
}

const isObject = (value: unknown): value is object => typeof value === 'object' && value !== null;

export type InputClass<T extends object> = new () => T;

/**
 * The input as an instance of its class, or an {@link InputError} that names every bad field. Unknown fields are refused.
 * @param partial for a change: missing fields are left alone
 */
export function validated<T extends object>(kind: InputClass<T>, plain: unknown, partial = false): T {
	if (typeof plain !== 'object' || plain === null || Array.isArray(plain))
		throw new InputError([{ path: '', message: 'The body requires a JSON object' }]);
	const instance = plainToInstance(kind, plain);
	// A change must not bring the defaults of fields it does not name.
	if (partial) for (const key of Object.keys(instance) as (keyof T)[]) if (!(key in plain)) delete instance[key];
	const errors = validateSync(instance, {
		whitelist: true,
		forbidNonWhitelisted: true,
		// Null in a change is a wish to empty the field: refused where the field is required.
		skipUndefinedProperties: partial,
		forbidUnknownValues: true,
		stopAtFirstError: true
	});
	const faults = [...flatten(errors), ...nestedLists(instance)];
	if (faults.length) throw new InputError(faults);
	return instance;
}
