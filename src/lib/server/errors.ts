/** A request the application understood and cannot carry out; `status` is the HTTP status it deserves. */
export class ServiceError extends Error {
	constructor(
		readonly status: 404 | 405 | 408 | 409 | 413 | 422 | 503,
		readonly code: string,
		message: string
	) {
		super(message);
		this.name = 'ServiceError';
	}
}

export const notFound = (what: string, id: number | string) =>
	new ServiceError(404, 'not-found', `There is no ${what} ${id}. It may have been deleted.`);
export const stale = (what: string) =>
	new ServiceError(
		409,
		'stale',
		`This ${what} was changed elsewhere since you opened it. Nothing was overwritten: reload to see the change, then make yours again.`
	);
