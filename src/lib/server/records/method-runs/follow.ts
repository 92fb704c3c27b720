import type { Knex } from 'knex';
import { CHEMISTRY_FIGURES } from '$lib/core/foundation/chemistry';
import { followMethod, type MethodRun, type MethodWorld } from '$lib/core/balance/steps';
import { meterSd } from '$lib/core/foundation/reading';
import { banks } from '../banks/row';
import { cellTypes } from '../cell-types/row';
import { cells } from '../cells/row';
import { methodEntries } from '../method-entries/row';
import { currentMeters } from '../settings/settings';
import { methodRuns, type MethodRunRow } from './row';
import { ServiceError } from '../../errors';

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
			...{ id: row.id, version: row.version, bankId: row.bankId, method: row.method, setup: row.setup },
			cells: order.map((id) => ({ id, label: labels.get(id)!, capacityAh: cellAh })),
			...{ startedAt: row.createdAt, endedAt: row.endedAt },
			entries: [...entries]
				.sort((a, b) => Date.parse(a.doneAt) - Date.parse(b.doneAt) || a.id - b.id)
				.map((e) => ({ ...e, asked: e.asked === null ? null : Boolean(e.asked) }))
		},
		world: {
			chemistry: bank.chemistry,
			chargeLimitV: type?.chargeLimitV ?? figures.chargeLimitV,
			dischargeLimitV: type?.dischargeLimitV ?? figures.dischargeLimitV,
			...{ series: bank.series, cellAh, groupAh: cellAh * bank.parallel },
			meterSdV: meterSd(meters.restVoltage, figures.nominalV),
			resistanceOhm: type?.acResistanceMohm ? type.acResistanceMohm / 1000 : null,
			subject: { kind: 'bank', id: bank.id, label: bank.name }
		}
	};
}

/** @throws ServiceError 409 while a charge in series goes on or its links are not proved off: nothing is joined side by side */
export async function refuseWhileLinked(bankId: number, tx?: Knex): Promise<void> {
	// One that was only ended has proved nothing: the string may still stand.
	const latest = (await methodRuns.all({ bankId }, tx)).findLast((r) => r.method === 'fast');
	if (!latest) return;
	const { run, world } = await methodOf(latest, tx);
	if (followMethod(run, world).locksJoining)
		throw new ServiceError(
			409,
			'links-not-off',
			'These cells stand in series. Take every series link off and prove it, pair by pair, in Balance, Step by step: one that stays in makes a short circuit of the row.'
		);
}
