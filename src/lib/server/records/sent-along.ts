import { InputError } from '$lib/input/validate';
import type { Fields, RecordKind } from './kind';
import { recordKind } from './registry';

/** A parent that comes with its child in one request: a new one, or with `id` and `version` one that is changed. */
export interface SentAlong {
	/** Where it stood in the body. */
	path: string;
	/** The child's field that will name it. */
	field: string;
	kind: RecordKind;
	body: Fields;
}

/** Takes the parents that were sent along out of a body. @throws InputError */
export function takeSentAlong(kind: RecordKind, body: unknown): { own: unknown; along: SentAlong[] } {
	if (!kind.sentAlong || typeof body !== 'object' || body === null) return { own: body, along: [] };
	const own = { ...body } as Fields;
	const along: SentAlong[] = [];
	for (const [path, field] of Object.entries(kind.sentAlong)) {
		const parent = own[path];
		delete own[path];
		if (parent === undefined || parent === null) continue;
		if (typeof parent !== 'object' || Array.isArray(parent))
			throw new InputError([{ path, message: 'must be the fields of a record' }]);
		const { id } = parent as Fields;
		if (id !== undefined && id !== null && !(Number.isSafeInteger(id) && (id as number) > 0))
			throw new InputError([
				{ path: `${path}.id`, message: 'must be the number of a record; leave it out for a new one' }
			]);
		const name = kind.parents[field]!.replace(/\?$/, '');
		along.push({ path, field, kind: recordKind(name), body: parent as Fields });
	}
	return { own, along };
}

/** Faults of what was sent along, by the paths its sender knows. */
export async function underPath<T>(path: string, work: Promise<T>): Promise<T> {
	return work.catch((error: unknown) => {
		if (!(error instanceof InputError)) throw error;
		throw new InputError(error.faults.map((f) => ({ ...f, path: `${path}.${f.path}` })));
	});
}
