import type { RunningWork } from '$lib/core/bank';
import {
	STAGES,
	WARMTHS,
	type Stage,
	type StageStatus,
	type Warmth,
	type StageVerdict
} from '$lib/core/foundation/verdicts';
import { BANK_USES } from '$lib/core/picture';
import { InputError } from '$lib/input/validate';
import { columnOf } from '../db/case';
import { database } from '../db/connection';
import { holding } from '../db/like';
import { readingOnce } from '../db/read-once';
import { refreshSoon } from '../judgements/behind';
import { bankSummary, type BankSummary, type ShownSummary } from '../judgements/store';
import { summaryInWords } from '../judgements/summary';
import { banks, batteries, cellTypes, type Bank, type Battery, type CellType } from '../records';
import { banksAtWork, runningWork } from './running-work';

export interface BankOverview extends ShownSummary {
	bank: Bank;
	cellType: CellType | null;
	batteries: Battery[];
	/** What goes on at this bank, what needs a person first before the rest. */
	running: RunningWork[];
}

/** A bank's stages, what is running and what needs a person; the figures behind rail and header. */
export const bankOverview = (bankId: number): Promise<BankOverview> =>
	readingOnce(async () => {
		const bank = await banks.get(bankId);
		const [summary, cellType, own, running] = await Promise.all([
			bankSummary(bankId),
			bank.cellTypeId === null ? null : cellTypes.get(bank.cellTypeId),
			batteries.all({ bankId }),
			runningWork(bank)
		]);
		return { ...summary, bank, cellType, batteries: own, running };
	});

/** A bank as Home lists it. */
export interface HomeBank {
	id: number;
	name: string;
	bankUse: string;
	rehearsal: boolean;
	/** A rehearsal whose truth is known: it asks for nothing any more. */
	isOver: boolean;
	series: number;
	parallel: number;
	/** Those built of cells, and ready-made ones. */
	batteries: number;
	readyMade: number;
	cellTypeName: string | null;
	stages: StageStatus[];
	current: Stage;
	warmth: Warmth;
	first: StageVerdict | null;
	needing: number;
	running: RunningWork[];
}

export interface Home {
	real: HomeBank[];
	rehearsals: HomeBank[];
	/** Banks of one's own; those found; those that want a look. */
	total: number;
	found: number;
	needing: number;
	rehearsalsFound: number;
	page: number;
	pages: number;
	search: string;
	/** Only those at a stage, or of a use; null: all. */
	stage: Stage | null;
	bankUse: string | null;
}

/** Banks on a page of Home. */
const PAGE = 20;
const REHEARSALS_SHOWN = 10;
/** Judging what is out of date holds Home up for so long at most, ms; the rest goes on behind it. */
const PATIENCE_MS = 250;

interface HomeRow {
	id: number;
	name: string;
	bank_use: string;
	rehearsal: boolean;
	series: number;
	parallel: number;
	batteries: number;
	cell_type_name: string | null;
	summary: string | null;
	ready_made: number;
	/** A rehearsal whose truth is known. */
	is_over: number;
}

const NOT_JUDGED: Omit<BankSummary, 'placed'> = {
	stages: [],
	current: 'plan',
	warmth: 'calm',
	first: null,
	needing: 0,
	stops: []
};

function listed(row: HomeRow, running: readonly RunningWork[]): HomeBank {
	const summary = row.summary ? summaryInWords(row.summary) : NOT_JUDGED;
	// A rehearsal that is over asks for nothing any more.
	const { stages, current, warmth, first, needing } = row.is_over
		? { ...summary, warmth: 'calm' as const, first: null, needing: 0 }
		: summary;
	return {
		id: row.id,
		name: row.name,
		bankUse: row.bank_use,
		rehearsal: row.rehearsal,
		isOver: Boolean(row.is_over),
		series: row.series,
		parallel: row.parallel,
		batteries: row.batteries - row.ready_made,
		readyMade: row.ready_made,
		cellTypeName: row.cell_type_name,
		stages,
		current,
		warmth,
		first,
		needing,
		running: [...running]
	};
}

/** What is looked for on Home; null: any. */
interface HomeFilter {
	search: string;
	stage: Stage | null;
	bankUse: string | null;
}
const ANY: HomeFilter = { search: '', stage: null, bankUse: null };

/** Banks by name, use and the stage they stand at. */
function banksLike({ search, stage, bankUse }: HomeFilter, rehearsal: boolean) {
	const query = database()('banks').where({ 'banks.rehearsal': rehearsal }).whereNull('banks.deleted_at');
	if (search) query.where('banks.name', 'like', holding(search));
	if (bankUse) query.where({ 'banks.bank_use': bankUse });
	if (stage)
		query.whereExists((q) =>
			q
				.from('bank_judgements as at_stage')
				.whereRaw('at_stage.bank_id = banks.id')
				.whereRaw("json_unquote(json_extract(at_stage.summary, '$.current')) = ?", [stage])
				.select(database().raw('1'))
		);
	return query;
}

/** One of a list, or null for all. @throws InputError for anything else */
function oneOf<T extends string>(query: URLSearchParams, name: string, known: readonly T[]): T | null {
	const text = query.get(name);
	if (!text) return null;
	const found = known.find((k) => k === text);
	if (!found) throw new InputError([{ path: name, message: `${name} requires one of ${known.join(', ')}` }]);
	return found;
}

const rowsOf = (filter: HomeFilter, rehearsal: boolean, atWork: readonly number[], from: number, size: number) =>
	banksLike(filter, rehearsal)
		.leftJoin('bank_judgements', 'bank_judgements.bank_id', 'banks.id')
		.leftJoin('cell_types', 'cell_types.id', 'banks.cell_type_id')
		.select(
			...['id', 'name', 'bankUse', 'rehearsal', 'series', 'parallel', 'batteries'].map((f) => `banks.${columnOf(f)}`),
			'cell_types.name as cell_type_name',
			'bank_judgements.summary',
			database().raw(
				"(select count(*) from batteries b where b.bank_id = banks.id and b.kind = 'ready-made' and b.deleted_at is null) as ready_made"
			),
			database().raw(
				'exists(select 1 from rehearsals r where r.bank_id = banks.id and r.revealed_at is not null) as is_over'
			)
		)
		.orderByRaw('is_over asc')
		.orderByRaw('coalesce(bank_judgements.warmth, 0) desc')
		.orderByRaw(`banks.id in (${atWork.length ? atWork.map(() => '?').join() : 'null'}) desc`, [...atWork])
		.orderBy('banks.id')
		.limit(size)
		.offset(from) as unknown as Promise<HomeRow[]>;

async function counted(filter: HomeFilter, rehearsal: boolean): Promise<number> {
	const [{ n }] = (await banksLike(filter, rehearsal).count({ n: '*' })) as [{ n: number }];
	return Number(n);
}

async function needingLook(): Promise<number> {
	const [{ n }] = (await banksLike(ANY, false)
		.join('bank_judgements', 'bank_judgements.bank_id', 'banks.id')
		.where('bank_judgements.warmth', '>=', WARMTHS.indexOf('look'))
		.count({ n: '*' })) as [{ n: number }];
	return Number(n);
}

const MAX_SEARCH = 80;

/** The warmest banks, the rest by search and paging. @param query `q` part of a name, `stage`, `use`, `page` from 1 @throws InputError */
export const homeOverview = (query: URLSearchParams, patienceMs = PATIENCE_MS): Promise<Home> =>
	readingOnce(async () => {
		const search = (query.get('q') ?? '').trim().slice(0, MAX_SEARCH);
		const page = Math.max(1, Math.min(10_000, Math.floor(Number(query.get('page') ?? 1)) || 1));
		if (!search.isWellFormed()) throw new InputError([{ path: 'q', message: 'q requires text' }]);
		const filter = { search, stage: oneOf(query, 'stage', STAGES), bankUse: oneOf(query, 'use', BANK_USES) };
		await refreshSoon(patienceMs);
		const atWork = await banksAtWork();
		const workIds = [...atWork.keys()];
		const [real, rehearsals, total, found, needing, rehearsalsFound] = await Promise.all([
			rowsOf(filter, false, workIds, (page - 1) * PAGE, PAGE),
			page === 1 ? rowsOf(filter, true, workIds, 0, REHEARSALS_SHOWN) : [],
			counted(ANY, false),
			counted(filter, false),
			needingLook(),
			counted(filter, true)
		]);
		const running = new Map<number, RunningWork[]>();
		for (const { id } of [...real, ...rehearsals])
			if (atWork.has(id)) running.set(id, await runningWork(await banks.get(id)));
		const list = (rows: HomeRow[]) => rows.map((row) => listed(row, running.get(row.id) ?? []));
		return {
			real: list(real),
			rehearsals: list(rehearsals),
			total,
			found,
			needing,
			rehearsalsFound,
			page,
			pages: Math.max(1, Math.ceil(found / PAGE)),
			...filter
		};
	});
