import { fuzzer, type FuzzedRequest, type OpenApi } from '../support/fuzz';
import { expect, test } from '../support/e2e';

const REQUESTS = 6000;
const AT_ONCE = 8;
/** An answer that has not come by then hangs: what works longest is given up after a minute, and a busy machine is no failure. */
const PATIENCE_MS = 30_000;

test('whatever is sent is answered: no 5xx, nothing hangs, every status is one the description names', async ({
	request,
	baseURL
}) => {
	test.setTimeout(600_000);
	const api = (await (await request.get('/api/v1/openapi.json')).json()) as OpenApi;
	const create = async (path: string, data: object) =>
		((await (await request.post(`/api/v1/${path}`, { data })).json()) as { id: number }).id;
	const settings = (await (await request.get('/api/v1/settings')).json()) as object;
	// Something real to meet: ids near these are banks, cells, runs and so on.
	const type = await create('cell-types', { name: 'Fuzz', chemistry: 'LFP', ratedAh: 100 });
	const bank = { name: 'Fuzz', bankUse: 'van', chemistry: 'LFP', series: 4, parallel: 1, cellTypeId: type };
	const bankId = await create('banks', bank);
	await create('deliveries', { bankId, name: 'Crate', receivedOn: '2026-03-09', cellCount: 6 });
	const next = fuzzer(api, 20_260_309, [bankId, bankId, ...Array.from({ length: 12 }, (_, i) => i + 1)]);
	const faults: string[] = [];
	const statuses = new Map<number, number>();

	async function send({ method, path, url, contentType, body }: FuzzedRequest): Promise<void> {
		const show = `${method} ${url} ${body?.slice(0, 400) ?? ''}`;
		try {
			const response = await fetch(`${baseURL}${url}`, {
				method,
				body,
				headers: contentType ? { 'content-type': contentType } : {},
				signal: AbortSignal.timeout(PATIENCE_MS)
			});
			await response.arrayBuffer();
			statuses.set(response.status, (statuses.get(response.status) ?? 0) + 1);
			const described = api.paths[path]![method.toLowerCase()]!.responses;
			if (response.status >= 500) faults.push(`${response.status}: ${show}`);
			else if (!(String(response.status) in described)) faults.push(`${response.status} is not described: ${show}`);
		} catch (error) {
			faults.push(`${(error as Error).name}: ${show}`);
		}
	}
	let sent = 0;
	await Promise.all(
		Array.from({ length: AT_ONCE }, async () => {
			while (sent < REQUESTS && faults.length < 40) {
				sent++;
				await send(next());
			}
		})
	);
	// Others work on the same application: its meter and units are theirs again.
	const back = await request.patch('/api/v1/settings', { data: settings });
	expect(await back.text()).toBe(JSON.stringify(settings));
	expect(faults).toEqual([]);
	expect(sent).toBeGreaterThanOrEqual(5000);
	// It met more than a closed door.
	for (const status of [200, 201, 204, 404, 409, 422])
		expect(statuses.get(status) ?? 0, String(status)).toBeGreaterThan(5);
	for (const page of ['/', '/stock', `/banks/${bankId}/plan`, `/banks/${bankId}/serve`])
		expect((await request.get(page)).status(), page).toBeLessThan(500);
});
