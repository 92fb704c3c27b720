/**
 * An input the core cannot compute with. `code` is stable for programs, `path` names the offending input
 * in dotted form (`cells.3.capacityAh`), `message` says what is required and what was got.
 */
export class CoreError extends Error {
	constructor(
		readonly code: string,
		readonly path: string,
		message: string
	) {
		super(message);
		this.name = 'CoreError';
	}
}

/** Throws unless `value` is a finite number; the door check for every public core function. */
export function requireFinite(value: number, path: string): number {
	if (!Number.isFinite(value))
		throw new CoreError('not-a-number', path, `${path} requires a finite number, got ${String(value)}`);
	return value;
}

/** Throws unless `value` is finite and greater than zero. */
export function requirePositive(value: number, path: string): number {
	if (!(requireFinite(value, path) > 0))
		throw new CoreError('not-positive', path, `${path} requires a number above 0, got ${value}`);
	return value;
}

/** Cells of one question whose capacities lie further apart than this were not all written in Ah. */
const FURTHEST_APART = 1000;

/**
 * Throws where one capacity is a thousand times another: a decimal point is lost, and nothing that is reckoned from both has a meaning.
 * @param capacities Ah, above 0 @param pathOf of each
 */
export function requireAlike(capacities: readonly number[], pathOf: (index: number) => string): void {
	const most = capacities.reduce((a, b) => Math.max(a, b), 0);
	const at = capacities.findIndex((ah) => ah * FURTHEST_APART < most);
	if (at >= 0)
		throw new CoreError(
			'far-apart',
			pathOf(at),
			`${pathOf(at)} requires a capacity like the others', the largest being ${most} Ah; got ${capacities[at]}. Is the decimal point right?`
		);
}

/** Throws unless `value` is finite and zero or more. */
export function requireNotNegative(value: number, path: string): number {
	if (!(requireFinite(value, path) >= 0))
		throw new CoreError('negative', path, `${path} requires 0 or more, got ${value}`);
	return value;
}
