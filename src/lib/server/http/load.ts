import { error } from '@sveltejs/kit';
import { passingTrouble } from '../db/away';
import { ServiceError } from '../errors';

/** Runs a page's one service call; what is not there becomes the page's own 404, a database that is away its 503. */
export async function loaded<T>(work: Promise<T>): Promise<T> {
	try {
		return await work;
	} catch (cause) {
		if (cause instanceof ServiceError) error(cause.status, { message: cause.message, code: cause.code });
		const trouble = passingTrouble(cause);
		if (trouble) error(503, trouble);
		throw cause;
	}
}
