import type { paths } from './api-types';

/** `/api/v1/cells/{id}/runs` as the pages write it: `cells/${number}/runs`. */
type Address<P extends string> = P extends `${infer Before}{${infer Name}}${infer After}`
	? `${Before}${Name extends 'id' ? number : string}${Address<After>}`
	: P;
type Short<P> = P extends `/api/v1/${infer Rest}` ? Address<Rest> : never;
type Method = 'get' | 'post' | 'patch' | 'delete';

/** Operations of one method by their address. */
type Operations<M extends Method> = {
	[P in keyof paths as paths[P] extends Record<M, object> ? Short<P> : never]: paths[P] extends Record<M, infer Op>
		? Op
		: never;
};
type OperationAt<M extends Method, A extends string> = {
	[P in keyof Operations<M>]: A extends P ? Operations<M>[P] : never;
}[keyof Operations<M>];
type JsonOf<R> = R extends { content: { 'application/json': infer Body } } ? Body : never;

/** Addresses that take a method, without their query. */
export type AddressFor<M extends Method> = keyof Operations<M> & string;

/** As a form holds it: lists are not changed, and what was left blank is null until the server refuses it. */
type Held<T> = T extends readonly (infer Item)[]
	? readonly Held<Item>[]
	: T extends object
		? { readonly [K in keyof T]: Held<T[K]> | null }
		: T;

/** What an operation is sent: its JSON body; unknown where it takes none. */
export type BodyFor<M extends Method, A extends string> =
	OperationAt<M, A> extends { requestBody: infer R } ? Held<JsonOf<R>> : Record<string, never>;

type Responses<Op> = Op extends { responses: infer R } ? R : never;
/** What an operation answers when all is well. */
export type AnswerFor<M extends Method, A extends string> = JsonOf<
	Responses<OperationAt<M, A>>[keyof Responses<OperationAt<M, A>> & (200 | 201)]
>;

/** The query an operation takes. */
export type QueryFor<M extends Method, A extends string> =
	OperationAt<M, A> extends { parameters: { query?: infer Q } } ? Exclude<Q, undefined> : Record<string, never>;
