import type { IncomingMessage } from 'node:http';
import { OVERALL_MS, paceOf } from './body-pace';

/** A body counts as long when it is still coming after so long; of long ones so many may come at once. */
const LONG_MS = 5_000;
const MAX_LONG = 64;
const LOOK_EVERY_MS = 2_500;
/** Those who read a body refuse a slow one in words first; only then is its line cut. */
const GRACE_MS = 5_000;

interface OpenBody {
	request: Pick<IncomingMessage, 'complete' | 'destroyed' | 'destroy'> & { socket: { bytesRead: number } };
	begunMs: number;
	bytesBefore: number;
	isSlow: (size: number) => boolean;
	slowSinceMs: number | null;
}

/**
 * Watches every body that is still coming, whoever reads it (forms too): the line of one that stays too slow is cut, and of more than
 * {@link MAX_LONG} long ones that of those that brought least.
 * @param now ms, for tests
 */
export function openBodies(now: () => number = Date.now) {
	const open = new Set<OpenBody>();
	const sizeOf = ({ request, bytesBefore }: OpenBody) => request.socket.bytesRead - bytesBefore;

	function look(): void {
		const at = now();
		for (const body of open) {
			if (body.request.complete || body.request.destroyed) open.delete(body);
			else if (body.isSlow(sizeOf(body))) body.slowSinceMs ??= at;
			if (body.slowSinceMs !== null && at - body.slowSinceMs >= GRACE_MS) cut(body);
		}
		const long = [...open].filter((b) => at - b.begunMs > LONG_MS);
		const rate = (b: OpenBody) => sizeOf(b) / (at - b.begunMs);
		long
			.sort((a, b) => rate(b) - rate(a))
			.slice(MAX_LONG)
			.forEach(cut);
	}

	function cut(body: OpenBody): void {
		open.delete(body);
		body.request.destroy();
	}

	return {
		follow(request: OpenBody['request']): void {
			open.add({
				request,
				begunMs: now(),
				bytesBefore: request.socket.bytesRead,
				isSlow: paceOf(OVERALL_MS.bankFile, now),
				slowSinceMs: null
			});
		},
		look,
		/** @returns how to stop */
		lookAgainAndAgain(): () => void {
			const timer = setInterval(look, LOOK_EVERY_MS);
			timer.unref();
			return () => clearInterval(timer);
		},
		count: () => open.size
	};
}

/** A request that says that it has a body. */
export const hasBody = ({ headers }: Pick<IncomingMessage, 'headers'>): boolean =>
	headers['transfer-encoding'] !== undefined || Number(headers['content-length'] ?? 0) > 0;
