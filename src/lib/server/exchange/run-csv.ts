import { database } from '../db/connection';
import { readRunSamplesFrom } from '../db/run-samples';
import { cells, runs } from '../records';

/** Rows read at once. */
const ROWS = 20_000;

/** A run as CSV with units in its header: its samples as they were logged, or its figures where it was written down by hand. @throws ServiceError 404 */
export async function runCsv(id: number): Promise<Response> {
	const run = await runs.get(id);
	const { label } = await cells.get(run.cellId);
	const encoder = new TextEncoder();
	const lines = run.source === 'hand' ? byHand(run) : samples(id);
	const body = new ReadableStream<Uint8Array>({
		async pull(controller) {
			const { done, value } = await lines.next();
			if (done) controller.close();
			else controller.enqueue(encoder.encode(value));
		},
		cancel: async () => void (await lines.return(undefined))
	});
	const name = `${label}-${run.testedAt.slice(0, 10)}.csv`;
	return new Response(body, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name)}`
		}
	});
}

async function* samples(id: number): AsyncGenerator<string> {
	yield 'time [s],voltage [V],current into the cell [A]\r\n';
	for (let after = -Infinity; ;) {
		const { timeS, voltageV, currentA } = await readRunSamplesFrom(id, after, ROWS, database());
		if (timeS.length === 0) return;
		yield timeS.map((t, i) => `${t},${voltageV[i]},${currentA[i]}\r\n`).join('');
		after = timeS.at(-1)!;
	}
}

async function* byHand(run: Awaited<ReturnType<typeof runs.get>>): AsyncGenerator<string> {
	const { capacityAh, sdAh, energyWh, currentA, powerW, temperatureC, cutoffV, testedAt, tester } = run;
	const values = [testedAt, capacityAh, sdAh, energyWh, currentA, powerW, temperatureC, cutoffV];
	yield 'tested at,capacity [Ah],sd [Ah],energy [Wh],current [A],power [W],temperature [°C],cut-off [V],tester\r\n';
	yield `${values.map((v) => v ?? '').join(',')},"${(tester ?? '').replaceAll('"', '""')}"\r\n`;
}
