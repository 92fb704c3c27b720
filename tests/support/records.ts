import { bankCapacities, type CellCapacity } from '$lib/core/test/capacities';
import { judgedTrays } from '$lib/core/receive/trays';
import { limitsState, type LimitsState } from '$lib/core/limits/state';
import { matchState, type MatchState } from '$lib/core/match/state';
import type { BalanceState } from '$lib/core/balance/state';
import type { BatteryService } from '$lib/core/serve/state';
import { loadBankPicture } from '$lib/server/bank-picture/load';
import { recordKind } from '$lib/server/records/registry';
import { changeRecord, createRecord, removeRecord, restoreRecord } from '$lib/server/records/write';
import { balanceFacts } from '$lib/server/stages/balance/face';
import { serveFacts } from '$lib/server/stages/serve/face';

/** Records as the API makes, changes, removes and brings them back. */
export const make = <T>(kind: string, body: object): Promise<T> =>
	createRecord(recordKind(kind), body) as Promise<unknown> as Promise<T>;
export const change = <T>(kind: string, id: number, body: object): Promise<T> =>
	changeRecord(recordKind(kind), id, body) as Promise<unknown> as Promise<T>;
export const remove = (kind: string, id: number, version: number): Promise<void> =>
	removeRecord(recordKind(kind), id, version);
export const restore = <T>(kind: string, id: number): Promise<T> =>
	restoreRecord(recordKind(kind), id) as Promise<unknown> as Promise<T>;

/** What the stages of a bank know of it. */
export const traysOf = async (bankId: number): Promise<ReturnType<typeof judgedTrays>> =>
	judgedTrays(await loadBankPicture(bankId));
export const capacitiesOf = async (bankId: number): Promise<CellCapacity[]> =>
	bankCapacities(await loadBankPicture(bankId));
export const matchOf = async (bankId: number): Promise<MatchState> => matchState(await loadBankPicture(bankId));
export const balanceOf = async (bankId: number): Promise<BalanceState> => balanceFacts(await loadBankPicture(bankId));
export const limitsOf = async (bankId: number): Promise<LimitsState> => limitsState(await loadBankPicture(bankId));
/** The first battery's years. */
export const serveOf = async (bankId: number, nowIso?: string): Promise<BatteryService> =>
	(await serveFacts(await loadBankPicture(bankId), nowIso))[0]!;

/** A text as the bytes of a body. */
export const bytesOf = (text: string): Uint8Array<ArrayBuffer> => new TextEncoder().encode(text);
