import { request as httpRequest, type ClientRequest } from 'node:http';
import { expect, test } from '../support/e2e';

/** A body that comes in pieces until it is told to end. */
function trickle(address: string): { answer: Promise<number>; end(): void } {
	let sent: ClientRequest;
	const answer = new Promise<number>((done, failed) => {
		sent = httpRequest(address, { method: 'POST', headers: { 'content-type': 'application/x-ndjson' } }, (response) => {
			response.resume();
			response.once('end', () => done(response.statusCode ?? 0));
		});
		sent.once('error', failed);
	});
	const piece = `${JSON.stringify({ kind: 'record', name: 'banks', record: { notes: 'x'.repeat(8600) } })}\n`;
	const timer = setInterval(() => sent.write(piece), 100);
	return {
		answer,
		end() {
			clearInterval(timer);
			sent.end();
		}
	};
}

test('twelve bank files that trickle in hold nobody up: Home, health and a write are answered before they end', async ({
	request,
	baseURL
}) => {
	const lines = Array.from({ length: 12 }, () => trickle(`${baseURL}/api/v1/banks/import`));
	let ended = 0;
	for (const { answer } of lines) void answer.then(() => ended++);
	await new Promise((done) => setTimeout(done, 2000));
	for (let i = 0; i < 5; i++) {
		expect((await request.get('/')).status()).toBe(200);
		expect((await request.get('/api/v1/health')).status()).toBe(200);
		const type = { name: `Trickle ${i}`, chemistry: 'LFP', ratedAh: 100 };
		expect((await request.post('/api/v1/cell-types', { data: type })).status()).toBe(201);
	}
	expect(ended).toBe(0);
	for (const line of lines) line.end();
	// Each is told what is wrong with it: it has no header.
	expect(await Promise.all(lines.map((l) => l.answer))).toEqual(Array<number>(12).fill(422));
});
