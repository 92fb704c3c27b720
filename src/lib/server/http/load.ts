import { error } from '@sveltejs/kit';
import { ServiceError } from '../errors';

/** Runs a page's one service call; what is not there becomes the page's own 404. */
export async function loaded<T>(work: Promise<T>): Promise<T> {
	try {
		return await work;
	} catch (cause) {
		if (cause instanceof ServiceError) error(cause.status, { message: cause.message, code: cause.code });
		throw cause;
	}
}
