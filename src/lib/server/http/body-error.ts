/** Why the body of a request was not taken. */
export class BodyError extends Error {
	constructor(
		readonly status: 400 | 408 | 409 | 413 | 415,
		readonly code: string,
		message: string
	) {
		super(message);
	}
}

export const tooSlow = () =>
	new BodyError(
		408,
		'too-slow',
		'The body did not arrive in time. Nothing was stored; send it again when the line is better.'
	);
