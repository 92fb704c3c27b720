import { LRUCache } from 'lru-cache';
import { readAgain } from '$lib/core/balance/settled';
import { followMethod } from '$lib/core/balance/steps';
import { byTheCalendarS, lastWakingMoment, type WakingHours } from '$lib/core/foundation/time';
import { loadBankPicture } from '../bank-picture/load';
import {
	balanceCells,
	balanceReadings,
	balanceRuns,
	banks,
	cells,
	liveRuns,
	methodRuns,
	notedRuns,
	readings,
	storageTests,
	type BalanceReading,
	type BalanceRun,
	type Bank,
	type MethodRunRow
} from '../records';
import { readSettings } from '../records/settings/settings';
import { balanceFacts } from '../stages/balance/face';
import { methodOf } from '../bank-picture/method-run';
import { database } from '../db/connection';
import { banksOfCells } from '../records/touched-banks';

/** A moment at which something that nobody follows by wire wants a person. */
export interface Due {
	/** The same as long as it is the same moment of the same thing. */
	key: string;
	bankId: number;
	bankName: string;
	at: string;
	what: string;
	/** What is to be done. */
	message: string;
	href: string;
}

type Moment = Omit<Due, 'bankName' | 'key' | 'bankId'>;

/** A cell's moment, told under each bank it is in. */
async function ofCell(cellId: number, key: string, moment: (label: string, bank: Bank) => Moment): Promise<Due[]> {
	const [cell, ids] = await Promise.all([cells.find(cellId), banksOfCells([cellId], database())]);
	const bank = ids.length ? await banks.find(ids[0]!) : null;
	if (!cell || !bank || bank.rehearsal) return [];
	const told = moment(cell.label, bank);
	return [{ ...told, key: `${key}@${told.at}`, bankId: bank.id, bankName: bank.name }];
}

/** When the cell of a row that was read longest ago was read last, nothing flowing; null: one never was. */
async function rowLastRead(balanceRunId: number): Promise<string | null> {
	const row = (await balanceCells.all({ balanceRunId })).map((c) => c.cellId);
	const read = row.length ? await readings.all({ cellId: row, quantity: 'restVoltage', state: 'loose' }) : [];
	const last = row.map((id) => Math.max(...read.filter((r) => r.cellId === id).map((r) => Date.parse(r.takenAt))));
	const first = Math.min(...last);
	return Number.isFinite(first) ? new Date(first).toISOString() : null;
}

/** Somebody is there so long before the earliest moment at which the current can be at its tail, ms. */
const BEFORE_TAIL_MS = 15 * 60_000;

/** A charge that is logged by hand wants a look before its tail, while somebody is up; one that is followed by wire rings by itself. */
async function tailOf(run: BalanceRun, bank: Bank, noted: readonly BalanceReading[]): Promise<Due[]> {
	if (await isFollowed(run)) return [];
	const { wakeFromH, wakeUntilH } = await readSettings();
	const last = noted.at(-1);
	const key = JSON.stringify([run, last?.id, last?.version, noted.length, bank.version, wakeFromH, wakeUntilH]);
	const known = tailsKnown.get(key) ?? (await workedOutTail(run, bank, { fromH: wakeFromH, untilH: wakeUntilH }));
	tailsKnown.set(key, known);
	return known;
}

/** Asked every minute by every page; worked out once for the same log. */
const tailsKnown = new LRUCache<string, Due[]>({ max: 200 });

async function workedOutTail(run: BalanceRun, bank: Bank, waking: WakingHours): Promise<Due[]> {
	const { progress } = await balanceFacts(await loadBankPicture(bank.id));
	const lastMs = progress?.last ? Date.parse(run.startedAt!) + progress.last.timeS * 1000 : null;
	if (lastMs === null || !progress?.remainingS || progress.done) return [];
	const tailMs = lastMs + byTheCalendarS(progress.remainingS.low, run.hoursADay ?? null) * 1000;
	const wantedMs = Math.max(lastMs, tailMs - BEFORE_TAIL_MS);
	const offsetMin = -new Date(wantedMs).getTimezoneOffset();
	const awakeMs = lastWakingMoment(wantedMs, waking, offsetMin);
	const at = new Date(Math.max(lastMs, awakeMs)).toISOString();
	return [
		{
			key: `charge-${run.id}-tail@${at}`,
			bankId: bank.id,
			bankName: bank.name,
			at,
			what: `Look at the charge, ${bank.name}`,
			message:
				'Its tail may come soon: read the amperes of the supply and the volts at the cells, and write them down.',
			href: `/banks/${bank.id}/balance/charge`
		}
	];
}

const isFollowed = async ({ id }: BalanceRun): Promise<boolean> =>
	(await liveRuns.all({ balanceRunId: id })).some((l) => l.state !== 'ended');

/** When the cells of a row are read again: after the light of its charger, and as they settle; not what has been read since. */
async function ofCharge(run: BalanceRun): Promise<Due[]> {
	if (run.startedAt === null) return [];
	const bank = await banks.find(run.bankId);
	if (!bank) return [];
	const noted = await balanceReadings.all({ balanceRunId: run.id });
	const light = run.endedAt === null ? noted.findLast((r) => r.stopped) : undefined;
	const since = run.endedAt ?? light?.readAt;
	if (!since) return tailOf(run, bank, noted);
	const lastRead = run.endedAt
		? await rowLastRead(run.id)
		: (noted.findLast((r) => r.cellV !== null && !r.stopped)?.readAt ?? null);
	const place = run.endedAt ? 'receive' : 'balance/charge';
	return readAgain(since, lastRead).map(({ hours, at }) => ({
		key: `charge-${run.id}-${hours}h@${since}`,
		bankId: bank.id,
		bankName: bank.name,
		at,
		what: run.endedAt ? `Read the cells, ${bank.name}` : `Read the row, ${bank.name}`,
		message:
			hours === 1
				? 'An hour has gone: volts of each, nothing flowing.'
				: 'A day has gone: volts of each once more. A cell that self-discharges shows now.',
		href: `/banks/${bank.id}/${place}`
	}));
}

/** Rests that end and deadlines of a balance that goes step by step. */
async function ofMethod(row: MethodRunRow): Promise<Due[]> {
	const bank = await banks.find(row.bankId);
	if (!bank || bank.rehearsal || (await methodRuns.all({ bankId: bank.id })).at(-1)?.id !== row.id) return [];
	const { run, world } = await methodOf(row);
	return followMethod(run, world).due.map(({ at, what, message }) => ({
		at,
		message,
		what: `${what}, ${bank.name}`,
		key: `method-${row.id}-${what}@${at}`,
		bankId: bank.id,
		bankName: bank.name,
		href: `/banks/${bank.id}/balance/steps`
	}));
}

/** The latest charge of each bank that is not in service: what was charged before asks for nothing any more. */
async function latestCharges(): Promise<BalanceRun[]> {
	const ids = (await database()('balance_runs as r')
		.join('banks as b', 'b.id', 'r.bank_id')
		.whereNull('r.deleted_at')
		.whereNull('b.deleted_at')
		.whereNull('b.in_service_on')
		.where('b.rehearsal', false)
		.groupBy('r.bank_id')
		.select(database().raw('max(r.id) as id'))) as { id: number }[];
	return ids.length ? balanceRuns.all({ id: ids.map((row) => row.id) }) : [];
}

/** All that is due or will be, first first: runs by notes, cells that stand for a test of self-discharge. */
export async function dueMoments(): Promise<Due[]> {
	const [charges, noted, standing, stepped] = await Promise.all([
		latestCharges(),
		notedRuns.all({ runId: null }),
		storageTests.all({ refilledAt: null }),
		methodRuns.all({ endedAt: null })
	]);
	const found = await Promise.all([
		...charges.map(ofCharge),
		...stepped.map(ofMethod),
		...noted
			.filter((n) => n.lookAgainAt !== null)
			.map((n) =>
				ofCell(n.cellId, `noted-run-${n.id}`, (label, bank) => ({
					at: n.lookAgainAt!,
					what: `Run of ${label} by notes, ${bank.name}`,
					message: 'Read it again now, and write down volts and the time: it may end soon.',
					href: `/banks/${bank.id}/test/notes`
				}))
			),
		...standing.map((s) =>
			ofCell(s.cellId, `storage-test-${s.id}`, (label, bank) => ({
				at: s.dueOn,
				what: `${label} has stood long enough, ${bank.name}`,
				message: 'Charge it again to the same volts and the same tail, and write down the Ah.',
				href: `/cells/${s.cellId}`
			}))
		)
	]);
	return found.flat().sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
}
