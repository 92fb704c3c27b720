import { defaultMetadataStorage } from 'class-transformer/cjs/storage.js';
import { ValidationTypes, getMetadataStorage } from 'class-validator';
import { validationMetadatasToSchemas } from 'class-validator-jsonschema';
import type { Json } from './parts';

const volts = (orNull: boolean): Json => ({ type: 'array', items: { type: orNull ? ['number', 'null'] : 'number' } });

/** What our own checks take, by their name in `input/fields`. */
const OWN_CHECKS: Record<string, Json> = {
	when: { type: 'string', description: 'A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z' },
	ticks: { type: 'object', additionalProperties: { type: 'boolean' } },
	volts: volts(false),
	'volts-or-null': volts(true),
	numbers: { type: 'array', items: { type: 'number' } },
	millimetres: { type: 'array', minItems: 3, maxItems: 3, items: { type: ['number', 'null'] } },
	passings: {
		type: 'object',
		required: ['voltageV', 'endAh', 'groups'],
		properties: {
			voltageV: { type: 'number' },
			endAh: { type: 'number' },
			groups: {
				type: 'array',
				items: {
					type: 'object',
					nullable: true,
					required: ['ah', 'sdAh'],
					properties: { ah: { type: 'number' }, sdAh: { type: 'number', minimum: 0 } }
				}
			}
		}
	},
	identity: { type: ['string', 'number'] },
	'identity-list': { type: 'array', items: { type: ['string', 'number'] } },
	balance: {
		anyOf: [
			{ type: 'string', enum: ['none', 'top', 'bottom'] },
			{
				type: 'object',
				required: ['activeA', 'hours'],
				properties: { activeA: { type: 'number', minimum: 0 }, hours: { type: 'number', minimum: 0 } }
			}
		]
	},
	identities: { type: 'array', items: { type: 'array', items: { type: ['string', 'number'] } } },
	groups: { type: 'array', items: { type: 'array', items: { type: 'integer' } } }
};
const MAY_BE_MISSING = 'x-may-be-missing';

/** What may be missing may as well be null. */
function orNull(property: Json): Json {
	const { [MAY_BE_MISSING]: missing, ...schema } = property;
	return missing ? { anyOf: [schema, { type: 'null' }] } : schema;
}

type ObjectSchema = Json & { properties?: Record<string, Json>; required?: string[] };

/** What a class fills in by itself, by class and field. */
function defaults(): Map<string, Record<string, unknown>> {
	const { validationMetadatas } = getMetadataStorage() as unknown as {
		validationMetadatas: Map<unknown, unknown>;
	};
	return new Map(
		[...validationMetadatas.keys()].flatMap((target) =>
			typeof target === 'function' ? [[target.name, { ...new (target as new () => object)() }] as const] : []
		)
	);
}

function completed({ properties = {}, required = [], ...schema }: ObjectSchema, filled: Record<string, unknown>): Json {
	const isFilled = (name: string) => filled[name] !== undefined;
	return {
		...schema,
		properties: Object.fromEntries(
			Object.entries(properties).map(([name, property]) => [
				name,
				isFilled(name) ? { ...orNull(property), default: filled[name] } : orNull(property)
			])
		),
		required: required.filter((name) => !isFilled(name))
	};
}

/** Schemas of everything that comes in, made from the class-validator classes. */
export function inputSchemas(): Record<string, Json> {
	const made = validationMetadatasToSchemas({
		classTransformerMetadataStorage: defaultMetadataStorage,
		refPointerPrefix: '#/components/schemas/',
		additionalConverters: { ...OWN_CHECKS, [ValidationTypes.CONDITIONAL_VALIDATION]: { [MAY_BE_MISSING]: true } }
	}) as Record<string, ObjectSchema>;
	const filled = defaults();
	return Object.fromEntries(
		Object.entries(made).map(([name, schema]) => [name, completed(schema, filled.get(name) ?? {})])
	);
}
