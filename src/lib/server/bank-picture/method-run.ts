import type { Knex } from 'knex';
import { CHEMISTRY_FIGURES } from '$lib/core/foundation/chemistry';
import type { MethodRun, MethodWorld } from '$lib/core/picture';
import { meterSd } from '$lib/core/foundation/reading';
import { banks } from '../records/banks/row';
import { cellTypes } from '../records/cell-types/row';
import { cells } from '../records/cells/row';
import { methodEntries } from '../records/method-entries/row';
import { currentMeters } from '../records/settings/settings';
import type { MethodRunRow } from '../records/method-runs/row';

/** Of a cell whose type nobody has named, Ah (default). */
const ASSUMED_AH = 100;

/** A balance by steps with its entries, and what the bank says to it: all figures by the sheet. */
export async function methodOf(row: MethodRunRow, tx?: Knex): Promise<{ run: MethodRun; world: MethodWorld }> {
	const bank = await banks.get(row.bankId, tx);
	const [type, meters, entries, own] = await Promise.all([
		bank.cellTypeId === null ? null : cellTypes.get(bank.cellTypeId, tx),
		currentMeters(),
		methodEntries.all({ methodRunId: row.id }, tx),
		row.cellIds?.length ? cells.all({ id: row.cellIds }, tx) : []
	]);
	const figures = CHEMISTRY_FIGURES[bank.chemistry];
	const cellAh = type?.ratedAh ?? ASSUMED_AH;
	const labels = new Map(own.map((c) => [c.id, c.label]));
	const order = (row.cellIds ?? []).filter((id) => labels.has(id));
	return {
		run: {
			id: row.id,
			version: row.version,
			bankId: row.bankId,
			method: row.method,
			setup: row.setup,
			cells: order.map((id) => ({ id, label: labels.get(id)!, capacityAh: cellAh })),
			startedAt: row.createdAt,
			endedAt: row.endedAt,
			entries: [...entries]
				.sort((a, b) => Date.parse(a.doneAt) - Date.parse(b.doneAt) || a.id - b.id)
				.map((e) => ({ ...e, asked: e.asked === null ? null : Boolean(e.asked) }))
		},
		world: {
			chemistry: bank.chemistry,
			chargeLimitV: type?.chargeLimitV ?? figures.chargeLimitV,
			dischargeLimitV: type?.dischargeLimitV ?? figures.dischargeLimitV,
			series: bank.series,
			cellAh,
			groupAh: cellAh * bank.parallel,
			meterSdV: meterSd(meters.restVoltage, figures.nominalV),
			resistanceOhm: type?.acResistanceMohm ? type.acResistanceMohm / 1000 : null,
			subject: { kind: 'bank', id: bank.id, label: bank.name }
		}
	};
}
