import type { Page, Recorded } from '../db/repository';
import { ServiceError } from '../errors';
import { InputError } from '$lib/input/validate';
import type { RecordKind } from './kind';

const MAX_PER_PAGE = 500;
/** Fields that hold whole numbers. */
const isWhole = (field: string) => /Id$|^battery$|^position$/.test(field) && field !== 'subjectId';

function wholeOf(query: URLSearchParams, name: string, fallback: number, most: number): number {
	const text = query.get(name);
	if (text === null) return fallback;
	const value = Number(text);
	if (!/^\d+$/.test(text) || value < 1 || value > most)
		throw new ServiceError(
			422,
			'paging',
			`${name} requires a whole number from 1 to ${most}, got ${text.slice(0, 40)}`
		);
	return value;
}

/** The filters of a query that a kind knows. @throws InputError for a value its field cannot have */
export function filtersOf(fields: readonly string[], query: URLSearchParams): Record<string, string | number> {
	return Object.fromEntries(
		fields
			.filter((field) => query.has(field))
			.map((field) => {
				const text = query.get(field)!;
				if (!isWhole(field)) return [field, text];
				if (!/^\d{1,10}$/.test(text))
					throw new InputError([
						{ path: field, message: `${field} requires a whole number, got ${text.slice(0, 40)}` }
					]);
				return [field, Number(text)];
			})
	);
}

/** A page of records; `page` from 1, `size` up to 500 (50 when not given), other parameters filter. */
export async function listRecords(kind: RecordKind, query: URLSearchParams): Promise<Page<Recorded>> {
	return kind.repository.list(filtersOf(kind.filters, query), {
		page: wholeOf(query, 'page', 1, 1_000_000),
		size: wholeOf(query, 'size', 50, MAX_PER_PAGE)
	});
}
