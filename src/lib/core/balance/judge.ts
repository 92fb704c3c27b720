import { chargeAfter, estimateTopCharge, type ChargeProgress } from '../foundation/parallel-charge';
import { chargeVerdicts, judgeArrival, rowOver } from './charge';
import { joinedVerdicts } from './joining';
import { judgeLight, judgeSettled, type SettledCell } from './settled';
import { CHEMISTRY_FIGURES } from '../foundation/chemistry';
import { CoreError } from '../foundation/errors';
import { snapshotBounds } from '../foundation/snapshot';
import { meterSd } from '../foundation/reading';
import { cellSubject, type Subject, type Verdict } from '../foundation/verdicts';
import { say } from './verdicts';
import { isCharging, rowCold, methodStanding, type BalanceState } from './state';
import {
	readingsInOrder,
	lapseVerdicts,
	undoneBy,
	bankSubject,
	isInService,
	placedCells,
	tellsCharge,
	type BankPicture,
	type PictureBank,
	type PictureCell,
	type StageJudgement
} from '../picture';

/** Less than that went in, as a share of the row: it tells nothing of what they arrived with that the tail does not. */
const TELLING = 0.03;

/** Sets no further apart than this share of a cell are equally full (default). */
const SETS_ALIKE = 0.01;

/** A charge that was ended before it was done: how far it came, and what was missing. */
function endedVerdict({ plan, progress }: BalanceState, subject: Subject): Verdict {
	const reached = plan && progress ? chargeAfter(plan, progress.deliveredAh) : null;
	return say('balance-ended', 'look', subject, {
		unmet: progress?.unmet ?? [],
		chargeLow: reached?.low ?? null,
		chargeHigh: reached?.high ?? null
	});
}

/** The same while it goes on; null: it has been ended. */
const methodState = (picture: BankPicture) => (picture.methodRun?.run.endedAt ? null : methodStanding(picture));

/** The verdicts on a balance: whether the cells may be joined, then how the charge stands. */
export function judgeBalanceStage(picture: BankPicture, state: BalanceState): StageJudgement {
	const { progress, missed } = state;
	const subject = bankSubject(picture);
	const of = placedCells(picture).length;
	// Ended is not done: only what was read to its end is, of the cells that were in the row.
	const stepped = picture.methodRun?.run.endedAt ? methodStanding(picture)?.done === true : false;
	const lapses = picture.batteries.flatMap((battery) => {
		const endedAt = state.run?.endedAt;
		const change = isInService(picture) && endedAt ? undoneBy(picture, battery, 'balance', endedAt) : null;
		return change ? [{ battery, lapse: { evidence: 'balance' as const, change } }] : [];
	});
	const lapsed = lapses.flatMap(({ battery, lapse }) => lapseVerdicts(picture, battery, [lapse]));
	const proved = stepped || (progress?.done === true && of > 0 && missed.length === 0);
	const misses =
		missed.length && !isInService(picture)
			? [say('balance-misses', 'look', subject, { cells: missed.length, of }, missed.map(cellSubject))]
			: [];
	// In service nobody is asked to balance; it is done only where it was.
	const done = proved && lapsed.length === 0;
	const quiet = done || (isInService(picture) && lapsed.length === 0);
	const { stopped, run } = state;
	const stops =
		stopped.length && run && run.endedAt === null && !isInService(picture)
			? [say('row-stopped', 'stop', subject, { why: stopped.map((c) => c.why) }, stopped.map(cellSubject))]
			: [];
	const charging = isCharging(run) && !isInService(picture);
	const cold = charging ? rowCold(picture, state, state.readings.at(-1)?.readAt ?? run!.startedAt!) : null;
	const steps = methodState(picture);
	const { verdicts } = chargeJudgement(picture, state, quiet);
	const joined = isCharging(state.run) || !quiet ? joinedVerdicts(picture.cells) : [];
	return {
		verdicts: [
			...stops,
			...lapsed,
			...(cold ? [cold] : []),
			...(steps?.verdicts ?? []),
			...misses,
			...joined,
			...verdicts
		],
		done
	};
}

/** Leads of a quarter save so many hours of the same charge; null where they were not read, or no such charge ends. */
function leadCost({ plan }: BalanceState, { chemistry }: PictureBank, progress: ChargeProgress): number | null {
	if (!plan || progress.leadOhm === null) return null;
	const row = { chemistry, totalAh: plan.totalAh, cells: 1, setV: plan.setV, supplyA: plan.setA, tailA: plan.tailA };
	const from = 1 - plan.toDeliverAh.high / plan.totalAh;
	try {
		const hours = (leadOhm: number) => estimateTopCharge({ ...row, leadOhm }, from).durationS / 3600;
		return hours(progress.leadOhm) - hours(progress.leadOhm / 4);
	} catch (error) {
		if (!(error instanceof CoreError)) throw error;
		return null;
	}
}

/** A charger that stopped by itself is judged by volts alone; one that goes on by its amperes. */
function whileCharging(picture: BankPicture, state: BalanceState, progress: ChargeProgress): Verdict[] {
	const subject = bankSubject(picture);
	const { plan } = state;
	const { chemistry } = picture.bank;
	const meterSdV = meterSd(picture.meters.restVoltage, CHEMISTRY_FIGURES[chemistry].nominalV);
	const light =
		plan && judgeLight(state.readings, { chemistry, meterSdV, setV: plan.setV, totalAh: plan.totalAh }, subject);
	if (light) return [light];
	const leadCostH = progress.phase === 'lead-limited' ? leadCost(state, picture.bank, progress) : null;
	return chargeVerdicts(progress, subject, plan && { setV: plan.setV, setA: plan.setA, leadCostH });
}

/** The latest voltage of the row read while it was still joined, after its charge was ended; null: none. */
function joinedSince(cells: readonly PictureCell[], endedAt: string): SettledCell['read'] {
	const since = cells.flatMap((c) =>
		c.joined && Date.parse(c.joined.takenAt) > Date.parse(endedAt) ? [c.joined] : []
	);
	const last = since.sort((a, b) => Date.parse(a.takenAt) - Date.parse(b.takenAt)).at(-1);
	return last ? { valueV: Math.abs(last.value), sdV: last.sd, takenAt: last.takenAt } : null;
}

/** What is said once a charge has been ended at its tail: what they arrived with, how they settle, and whether sets are equal. */
function afterwards(picture: BankPicture, { run, plan, progress, cells, earlier }: BalanceState): Verdict[] {
	const subject = bankSubject(picture);
	const { chemistry } = picture.bank;
	const inPlay = new Map(picture.cells.map((c) => [c.id, c]));
	const meterSdV = meterSd(picture.meters.restVoltage, CHEMISTRY_FIGURES[chemistry].nominalV);
	const settled = judgeSettled(
		cells.flatMap(({ id, label, capacityAh }): SettledCell[] => {
			const { readings, touches = [] } = inPlay.get(id) ?? {};
			const read = readings?.restVoltage;
			if (!read) return [{ id, label, capacityAh, read: null }];
			// Tested or charged since, it settles from something else.
			if (!tellsCharge(read.takenAt, touches, run!.endedAt, run!.id)) return [];
			return [{ id, label, capacityAh, read: { valueV: Math.abs(read.value), sdV: read.sd, takenAt: read.takenAt } }];
		}),
		run!.endedAt!,
		{ chemistry, meterSdV, tail: { setV: plan!.setV, cRate: plan!.tailA / plan!.totalAh } },
		subject,
		joinedSince(
			cells.flatMap((c) => inPlay.get(c.id) ?? []),
			run!.endedAt!
		)
	);
	const tested = cells.every((c) => (inPlay.get(c.id)?.runs.length ?? 0) > 0);
	const arrival =
		plan && progress!.deliveredAh > TELLING * plan.totalAh
			? [judgeArrival(progress!.deliveredWithinAh, plan.totalAh, tested, subject)]
			: [];
	return [...setsCompared(picture, { progress, cells, earlier }, meterSdV), ...settled, ...arrival];
}

/** Sets that were charged one after the other, by volts at each tail. */
function setsCompared(
	picture: BankPicture,
	{ progress, cells, earlier }: Pick<BalanceState, 'progress' | 'cells' | 'earlier'>,
	meterSdV: number
): Verdict[] {
	const last = progress?.last;
	if (earlier.length === 0 || last?.cellV == null || cells.length === 0) return [];
	const cellAh = Math.max(...cells.map((c) => c.capacityAh));
	const tails = [{ cellV: last.cellV, cellA: last.supplyA / cells.length }, ...earlier];
	const { apartAh } = snapshotBounds({
		chemistry: picture.bank.chemistry,
		groupAh: cellAh,
		meterSdV,
		groupVoltagesV: tails.map((t) => t.cellV),
		currentA: tails.reduce((sum, t) => sum + t.cellA, 0) / tails.length
	});
	const limitAh = SETS_ALIKE * cellAh;
	const of = cells.length + earlier.reduce((sum, e) => sum + e.cells.length, 0);
	const equal = apartAh.high95 <= limitAh;
	return [
		say('sets-compared', equal ? 'calm' : 'open', bankSubject(picture), {
			sets: tails.length,
			cells: of,
			apartAh,
			limitAh
		})
	];
}

/** Whether a supply's counter went on or began anew, where the log fits both. */
function counterVerdicts(picture: BankPicture, { progress, readings, plan }: BalanceState): Verdict[] {
	if (!progress || !plan || progress.counterAsks.length === 0) return [];
	const { low, high } = progress.deliveredWithinAh;
	const at = progress.counterAsks.flatMap((i) => readingsInOrder(readings)[i] ?? []);
	return [
		say('counter-unclear', 'open', bankSubject(picture), {
			lowAh: low,
			highAh: high,
			totalAh: plan.totalAh,
			counts: at.map((r) => r.deliveredAh ?? 0)
		})
	];
}

/** A cell that stands the wrong way round, or was never read, stays said while its row is charged. */
function wrongInRow({ join }: BalanceState): Verdict[] {
	return join && ['join-polarity', 'join-unknown'].includes(join.verdict.code) ? [join.verdict] : [];
}

/** What is said of the charge itself. */
function chargeJudgement(picture: BankPicture, state: BalanceState, done: boolean): StageJudgement {
	const { run, join, progress } = state;
	const subject = bankSubject(picture);
	const limitV = picture.cellType?.chargeLimitV ?? CHEMISTRY_FIGURES[picture.bank.chemistry].chargeLimitV;
	const over = run && progress && !isInService(picture) ? rowOver(progress, limitV, subject) : null;
	if (over) return { verdicts: [over], done };
	const counter = counterVerdicts(picture, state);
	if (progress?.done && run?.endedAt)
		return { verdicts: isInService(picture) ? [] : [...counter, ...afterwards(picture, state)], done };
	// Before cells are placed a row is only looked at: it asks nothing.
	if (!run && placedCells(picture).length === 0) return { verdicts: [], done };
	if (isCharging(run))
		return {
			verdicts: [...wrongInRow(state), ...counter, ...(progress ? whileCharging(picture, state, progress) : [])],
			done
		};
	if (done || !join) return { verdicts: [], done };
	if (!run) return { verdicts: [join.verdict], done };
	if (run.endedAt !== null) return { verdicts: [endedVerdict(state, subject)], done };
	const ticked = Object.values(run.checklist ?? {}).filter(Boolean).length;
	return { verdicts: [join.verdict, say('balance-waiting', 'open', subject, { ticked })], done };
}
