/** A refusal by the server, in words a person can act on. */
export class ApiProblem extends Error {
	constructor(
		readonly status: number,
		readonly code: string,
		message: string,
		/** Message by field path, for showing beside the field. */
		readonly fields: Record<string, string>
	) {
		super(message);
		this.name = 'ApiProblem';
	}
}

interface ProblemBody {
	detail?: string;
	code?: string;
	errors?: { path: string; message: string }[];
}

async function problemFrom(response: Response): Promise<ApiProblem> {
	const body = (await response.json().catch(() => ({}))) as ProblemBody;
	const fields = Object.fromEntries((body.errors ?? []).map((e) => [e.path, e.message]));
	return new ApiProblem(
		response.status,
		body.code ?? 'unexpected',
		body.detail ?? `The server answered ${response.status}.`,
		fields
	);
}

async function request<T>(method: string, path: string, body?: BodyInit, contentType?: string): Promise<T> {
	const response = await fetch(`/api/v1/${path}`, {
		method,
		body,
		headers: contentType ? { 'content-type': contentType } : {}
	}).catch(() => {
		throw new ApiProblem(
			0,
			'unreachable',
			'The server does not answer. What you typed is kept here; try again when it is back.',
			{}
		);
	});
	if (!response.ok) throw await problemFrom(response);
	return (response.status === 204 ? null : await response.json()) as T;
}

/** The application's own API, as its pages use it. Throws {@link ApiProblem}. */
export const api = {
	get: <T>(path: string) => request<T>('GET', path),
	post: <T>(path: string, body: unknown) => request<T>('POST', path, JSON.stringify(body), 'application/json'),
	patch: <T>(path: string, body: unknown) => request<T>('PATCH', path, JSON.stringify(body), 'application/json'),
	sendCsv: <T>(path: string, text: string) => request<T>('POST', path, text, 'text/csv'),
	sendFile: <T>(path: string, file: Blob, contentType: string) => request<T>('POST', path, file, contentType),
	remove: (path: string, version: number) => request<null>('DELETE', `${path}?version=${version}`),
	restore: <T>(path: string) => request<T>('POST', `${path}/restore`)
};
