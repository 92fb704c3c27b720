import { CHEMISTRIES, type Chemistry } from '$lib/core/foundation/chemistry';
import { STAGES, type Stage } from '$lib/core/foundation/verdicts';
import { InputError } from '$lib/input/validate';
import { ServiceError } from '../errors';

/** A number above 0 of a query; null when it is not given. @throws InputError */
export function positiveOrNull(query: URLSearchParams, name: string): number | null {
	if (!query.has(name)) return null;
	const value = Number(query.get(name));
	if (!(value > 0 && Number.isFinite(value)))
		throw new InputError([{ path: name, message: 'requires a number above 0' }]);
	return value;
}

/** The version a record was read at. @throws ServiceError 422 */
export function versionOf(query: URLSearchParams): number {
	const text = query.get('version') ?? '';
	if (!/^\d{1,10}$/.test(text) || Number(text) < 1)
		throw new ServiceError(422, 'version', 'version is required in the query: the version of the record you read.');
	return Number(text);
}

/** The stage a query names; null when it names none. @throws InputError */
export function stageOf(query: URLSearchParams): Stage | null {
	const name = query.get('stage');
	if (name === null) return null;
	const stage = STAGES.find((s) => s === name);
	if (!stage) throw new InputError([{ path: 'stage', message: `requires one of ${STAGES.join(', ')}` }]);
	return stage;
}

/** The chemistry a query names; null when it names none. @throws InputError */
export function chemistryOrNull(query: URLSearchParams): Chemistry | null {
	const name = query.get('chemistry');
	if (name === null) return null;
	const chemistry = CHEMISTRIES.find((c) => c === name);
	if (!chemistry) throw new InputError([{ path: 'chemistry', message: `requires one of ${CHEMISTRIES.join(', ')}` }]);
	return chemistry;
}
