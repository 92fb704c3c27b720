import type { Bank } from '$lib/server/records';
import { bankFile } from '$lib/server/exchange/export';
import { importBankFile } from '$lib/server/exchange/import';
import { bytesOf } from './records';

type Line = Record<string, unknown> & { kind?: string; record?: Record<string, unknown> };

/** A bank's file as text. */
export async function exportText(bankId: number): Promise<string> {
	const lines: string[] = [];
	for await (const line of bankFile(bankId, '2026-06-01T00:00:00Z')) lines.push(line);
	return lines.join('\n');
}

async function* inPieces(text: string, size: number): AsyncGenerator<Uint8Array> {
	const bytes = bytesOf(text);
	for (let at = 0; at < bytes.length; at += size) yield bytes.slice(at, at + size);
}

/** A file brought in, in pieces of an awkward size. */
export const importText = (text: string, size = 997): Promise<Bank> =>
	importBankFile(inPieces(text, size), new AbortController().signal);

const reference = (name: string) => name === 'id' || /Id$/.test(name) || name === 'exportedAt';

/** The lines of a file without ids and times of import; what refers to another line refers to its place among its kind. */
export function comparable(text: string): unknown[] {
	const places = new Map<string, number>();
	const counts = new Map<string, number>();
	return text
		.split('\n')
		.map((line) => JSON.parse(line) as Line)
		.map(({ kind, record, ...rest }) => {
			if (!record)
				return {
					kind,
					...Object.fromEntries(Object.entries(rest).filter(([k]) => k === 'runId' || !reference(k))),
					runId: rest.runId ? places.get(`runs ${String(rest.runId)}`) : undefined
				};
			const place = counts.get(kind!) ?? 0;
			counts.set(kind!, place + 1);
			places.set(`${kind} ${String(record.id)}`, place);
			const refers = (name: string, value: unknown) =>
				value === null ? null : (places.get(`${KIND_OF[name]} ${String(value)}`) ?? 'elsewhere');
			return {
				kind,
				record: Object.fromEntries(
					Object.entries(record)
						.filter(([k]) => k !== 'id')
						.map(([k, v]) => [k, reference(k) ? refers(k, v) : v])
				)
			};
		});
}

const KIND_OF: Record<string, string> = {
	bankId: 'banks',
	batteryId: 'batteries',
	groupId: 'groups',
	deliveryId: 'deliveries',
	cellId: 'cells',
	cellTypeId: 'cell-types',
	runId: 'runs',
	balanceRunId: 'balance-runs',
	liveRunId: 'live-runs'
};
