import { describe, expect, it } from 'vitest';
import { hasBody, openBodies } from './open-bodies';

function line() {
	const request = {
		complete: false,
		destroyed: false,
		socket: { bytesRead: 0 },
		destroy() {
			request.destroyed = true;
			return request as never;
		}
	};
	return request;
}

/** Bodies that come at steady rates, bytes a second, looked at for so many seconds. */
function after(seconds: number, rates: readonly number[]) {
	let atMs = 0;
	const bodies = openBodies(() => atMs);
	const lines = rates.map(line);
	lines.forEach((request) => bodies.follow(request));
	for (let second = 1; second <= seconds; second++) {
		atMs = second * 1000;
		lines.forEach((request, i) => (request.socket.bytesRead += rates[i]!));
		bodies.look();
	}
	return { lines, bodies };
}

describe('bodies that are still coming', () => {
	it('three hundred that trickle are cut within half a minute; one that keeps up is not', () => {
		const { lines, bodies } = after(25, [...Array<number>(300).fill(200), 50_000]);
		expect(lines.filter((l) => !l.destroyed).map((l) => l.socket.bytesRead)).toEqual([25 * 50_000]);
		expect(bodies.count()).toBe(1);
	});
	it('of more than sixty-four long ones those that brought least are cut', () => {
		const { lines } = after(6, [...Array<number>(64).fill(40_000), ...Array<number>(36).fill(30_000)]);
		expect(lines.slice(0, 64).every((l) => !l.destroyed)).toBe(true);
		expect(lines.slice(64).every((l) => l.destroyed)).toBe(true);
	});
	it('those that are complete are let go of', () => {
		const bodies = openBodies();
		const request = line();
		bodies.follow(request);
		request.complete = true;
		bodies.look();
		expect(bodies.count()).toBe(0);
		expect(request.destroyed).toBe(false);
	});
	it('a request has one where it says so', () => {
		expect(hasBody({ headers: { 'content-length': '3' } })).toBe(true);
		expect(hasBody({ headers: { 'transfer-encoding': 'chunked' } })).toBe(true);
		expect(hasBody({ headers: { 'content-length': '0' } })).toBe(false);
		expect(hasBody({ headers: {} })).toBe(false);
	});
});
