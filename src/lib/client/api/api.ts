import { tellOtherTabs } from '../tabs/other-tabs';
import type { AddressFor, AnswerFor, BodyFor, QueryFor } from './api-shapes';

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
	if (method !== 'GET') tellOtherTabs();
	return (response.status === 204 ? null : await response.json()) as T;
}

/** What is null or missing is not asked for. */
const withQuery = (path: string, query: unknown): string => {
	const told = Object.entries((query ?? {}) as Record<string, unknown>)
		.filter(([, value]) => value !== null && value !== undefined)
		.map(([name, value]) => [name, String(value)]);
	return told.length ? `${path}?${new URLSearchParams(told)}` : path;
};

/** The application's own API as its pages use it, with the shapes of its description. Throws {@link ApiProblem}. */
export const api = {
	get: <A extends AddressFor<'get'>>(path: A, query?: QueryFor<'get', A>) =>
		request<AnswerFor<'get', A>>('GET', withQuery(path, query)),
	post: <A extends AddressFor<'post'>>(path: A, body: BodyFor<'post', A>) =>
		request<AnswerFor<'post', A>>('POST', path, JSON.stringify(body), 'application/json'),
	patch: <A extends AddressFor<'patch'>>(path: A, body: BodyFor<'patch', A>) =>
		request<AnswerFor<'patch', A>>('PATCH', path, JSON.stringify(body), 'application/json'),
	/** A log, as it is. */
	sendCsv: <A extends AddressFor<'post'>>(path: A, text: string, query?: QueryFor<'post', A>) =>
		request<AnswerFor<'post', A>>('POST', withQuery(path, query), text, 'text/csv'),
	sendFile: <A extends AddressFor<'post'>>(path: A, file: Blob, contentType: string, query?: QueryFor<'post', A>) =>
		request<AnswerFor<'post', A>>('POST', withQuery(path, query), file, contentType),
	remove: (path: AddressFor<'delete'>, version: number) => request<null>('DELETE', withQuery(path, { version })),
	/** Undoes a {@link api.remove}. */
	restore: (path: AddressFor<'delete'>) => request<object>('POST', `${path}/restore`)
};
