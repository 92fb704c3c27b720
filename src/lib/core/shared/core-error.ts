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

/** Throws unless `value` is finite and zero or more. */
export function requireNotNegative(value: number, path: string): number {
	if (!(requireFinite(value, path) >= 0))
		throw new CoreError('negative', path, `${path} requires 0 or more, got ${value}`);
	return value;
}
