import type { FieldFault } from '$lib/input/validate';

/** RFC 9457 problem details, with the path of each bad field. */
export interface Problem {
	type: string;
	title: string;
	status: number;
	detail: string;
	code: string;
	errors?: FieldFault[];
}

const TITLES: Record<number, string> = {
	400: 'Bad request',
	404: 'Not found',
	405: 'Not possible',
	408: 'Took too long',
	409: 'In conflict',
	413: 'Too large',
	415: 'Wrong kind of content',
	422: 'Input not accepted',
	500: 'Something went wrong here',
	503: 'Away for the moment'
};

/** After these the rest of a body may still be on its way: it must not be taken for the next request on this connection. */
const CLOSING = new Set([408, 413]);

export function problemResponse(status: number, code: string, detail: string, errors?: FieldFault[]): Response {
	const problem: Problem = {
		type: 'about:blank',
		title: code === 'stale' ? 'Changed elsewhere' : (TITLES[status] ?? 'Error'),
		status,
		detail,
		code,
		...(errors ? { errors } : {})
	};
	const close: Record<string, string> = CLOSING.has(status) ? { connection: 'close' } : {};
	return new Response(JSON.stringify(problem), {
		status,
		headers: { 'content-type': 'application/problem+json', ...close }
	});
}
