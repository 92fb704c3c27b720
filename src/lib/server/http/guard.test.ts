import { describe, expect, it } from 'vitest';
import { allowedHosts, refusal } from './guard';

const ask = (method: string, headers: Record<string, string>) =>
	refusal(new Request('http://127.0.0.1:5000/', { method, headers }), allowedHosts('shed.example'));

describe('guard', () => {
	it.each(['127.0.0.1:5000', 'localhost:5000', '[::1]:5000', 'shed.example'])('answers to %s', (host) =>
		expect(ask('GET', { host })).toBeNull()
	);
	it.each(['evil.example', '127.0.0.1.evil.example:5000', ''])('refuses %j', (host) =>
		expect(ask('GET', { host })?.status).toBe(400)
	);
	it('refuses writes from another page and takes its own', () => {
		expect(ask('POST', { host: 'localhost:5000', origin: 'http://evil.example' })?.status).toBe(400);
		expect(ask('POST', { host: 'localhost:5000', origin: 'null' })?.status).toBe(400);
		const own = { host: 'localhost:5000', 'content-length': '20' };
		expect(ask('POST', { ...own, origin: 'http://localhost:5000' })).toBeNull();
		expect(ask('POST', own)).toBeNull();
	});
	it('takes no form of unknown or excessive length; what the API takes it limits itself', () => {
		const host = 'localhost:5000';
		expect(ask('POST', { host })?.status).toBe(413);
		expect(ask('POST', { host, 'content-length': '2000000' })?.status).toBe(413);
		const toApi = new Request('http://127.0.0.1:5000/api/v1/banks/import', { method: 'POST', headers: { host } });
		expect(refusal(toApi, allowedHosts())).toBeNull();
	});
});
