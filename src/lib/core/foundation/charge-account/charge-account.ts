import { requireFinite, requireNotNegative, requirePositive } from '../errors';

/** Bounds of a charge, or of what flowed, 95 %. */
export interface Bounds {
	low: number;
	high: number;
}

/** Something that moved a cell's charge, as far as it was written down. Moments are ms since 1970. */
export interface ChargeMovement {
	fromMs: number;
	/** Null: it goes on. */
	untilMs: number | null;
	/** It was charged to its tail, or discharged to its cut-off; null: neither, or nobody knows. */
	end: 'full' | 'empty' | null;
	/** What flowed into the cell (out: negative), Ah; null: nobody counted. */
	movedAh: Bounds | null;
}

/** A voltage read at rest, as the charge it fits, share of full. */
export interface RestedAt {
	atMs: number;
	share: Bounds;
}

export interface ChargeHistory {
	capacityAh: number;
	movements: readonly ChargeMovement[];
	rests: readonly RestedAt[];
	/** What it may lose by itself, share of full a day. */
	lostADay: number;
}

export interface ChargeAccount {
	/** What it holds, share of full, 95 %. */
	share: Bounds;
	/** When that was last known from a voltage, a tail or a cut-off, ms; null: nothing ever told it. */
	knownMs: number | null;
	/** What tells it: a rest voltage, an end, or an end and what was counted since. */
	by: 'nothing' | 'rest' | 'full' | 'empty' | 'counted';
}

/** A charge that ends at its tail leaves the cell at least so full, and a discharge that ends at its cut-off at most so full (default). */
const ENDS = { full: 0.99, empty: 0.02 };
const DAY_MS = 86_400_000;
const NOTHING: ChargeAccount = { share: { low: 0, high: 1 }, knownMs: null, by: 'nothing' };

const within = (share: Bounds): Bounds => {
	const clamp = (v: number) => Math.min(1, Math.max(0, v));
	return { low: clamp(share.low), high: clamp(share.high) };
};

/** What both allow; where they exclude each other, either may be wrong: from the one to the other. */
export function bothOf(a: Bounds, b: Bounds): Bounds {
	const both = { low: Math.max(a.low, b.low), high: Math.min(a.high, b.high) };
	return both.low <= both.high ? both : { low: Math.min(a.low, b.low), high: Math.max(a.high, b.high) };
}

const standing = (account: ChargeAccount, fromMs: number, toMs: number, lostADay: number): ChargeAccount => ({
	...account,
	share: within({
		low: account.share.low - (lostADay * Math.max(0, toMs - fromMs)) / DAY_MS,
		high: account.share.high
	})
});

function afterMovement(before: ChargeAccount, movement: ChargeMovement, capacityAh: number): ChargeAccount {
	const { end, movedAh, untilMs } = movement;
	if (untilMs === null) return NOTHING;
	if (end === 'full') return { share: { low: ENDS.full, high: 1 }, knownMs: untilMs, by: 'full' };
	if (end === 'empty') return { share: { low: 0, high: ENDS.empty }, knownMs: untilMs, by: 'empty' };
	if (movedAh === null || before.by === 'nothing')
		return movedAh === null ? NOTHING : atLeastMoved(movedAh, capacityAh);
	const share = within({
		low: before.share.low + movedAh.low / capacityAh,
		high: before.share.high + movedAh.high / capacityAh
	});
	return { ...before, share, by: 'counted' };
}

/** Two voltages in a row err alike, by the same curve: the later stands. Beside what was counted, both hold. */
const rested = (before: ChargeAccount, { atMs, share }: RestedAt): ChargeAccount =>
	before.by === 'rest'
		? { share, knownMs: atMs, by: 'rest' }
		: { share: bothOf(before.share, share), knownMs: atMs, by: before.by === 'nothing' ? 'rest' : before.by };

/** Of a cell nothing was known of: what went in is in it, what came out is missing. */
function atLeastMoved({ low, high }: Bounds, capacityAh: number): ChargeAccount {
	const share = within({ low: low > 0 ? low / capacityAh : 0, high: high < 0 ? 1 + high / capacityAh : 1 });
	return { ...NOTHING, share };
}

function check({ capacityAh, movements, rests, lostADay }: ChargeHistory, atMs: number): void {
	requirePositive(capacityAh, 'capacityAh');
	requireNotNegative(lostADay, 'lostADay');
	requireFinite(atMs, 'atMs');
	movements.forEach((d, i) => requireFinite(d.fromMs, `movements.${i}.fromMs`));
	rests.forEach((r, i) => requireFinite(r.atMs, `rests.${i}.atMs`));
}

/**
 * What a cell holds at a moment: what its rest voltages allow, where its charges and discharges ended, and what was counted in and out since,
 * with what it may have lost by itself. Ranges are kept, never a middle; what nobody counted makes it unknown again.
 * @param atMs ms since 1970; what came later is not looked at
 * @throws CoreError `not-positive`, `negative`, `not-a-number`
 */
export function chargeAt(history: ChargeHistory, atMs: number): ChargeAccount {
	check(history, atMs);
	const { capacityAh, lostADay } = history;
	const happened = [
		...history.rests.map((rest) => ({ ms: rest.atMs, rest, movement: null })),
		...history.movements.map((movement) => ({
			ms: movement.untilMs ?? Math.max(movement.fromMs, atMs),
			rest: null,
			movement
		}))
	]
		.filter(
			({ ms, movement }) => ms <= atMs && (movement === null || movement.fromMs < atMs || movement.untilMs !== null)
		)
		.sort((a, b) => a.ms - b.ms);
	let account = NOTHING;
	let lastMs = -Infinity;
	for (const { ms, rest, movement } of happened) {
		account = Number.isFinite(lastMs) ? standing(account, lastMs, ms, lostADay) : account;
		lastMs = ms;
		if (movement) account = afterMovement(account, movement, capacityAh);
		// While something goes on no voltage is one of rest.
		else if (!history.movements.some((d) => d.fromMs < ms && (d.untilMs ?? Infinity) > ms))
			account = rested(account, rest!);
	}
	// It goes on, begun before and not ended until then.
	if (history.movements.some((d) => d.fromMs < atMs && (d.untilMs ?? Infinity) > atMs)) return NOTHING;
	return Number.isFinite(lastMs) ? standing(account, lastMs, atMs, lostADay) : account;
}

/**
 * What a cell held before its first movements, worked back from where they ended and what was counted until then.
 * @returns share of full, 95 %; null where something until the first end was not counted, or nothing ended
 */
export function chargeBefore({
	capacityAh,
	movements
}: Pick<ChargeHistory, 'capacityAh' | 'movements'>): Bounds | null {
	requirePositive(capacityAh, 'capacityAh');
	const moved = { low: 0, high: 0 };
	for (const { end, movedAh, untilMs } of [...movements].sort((a, b) => a.fromMs - b.fromMs)) {
		if (movedAh === null || untilMs === null) return null;
		moved.low += movedAh.low;
		moved.high += movedAh.high;
		if (end === null) continue;
		const ended = end === 'full' ? { low: ENDS.full, high: 1 } : { low: 0, high: ENDS.empty };
		return within({ low: ended.low - moved.high / capacityAh, high: ended.high - moved.low / capacityAh });
	}
	return null;
}

/** Of a count of Ah, and of what a type's cells really hold, one sd as a share (default); of a charge so much does not stay. */
const COUNT = { sd: 0.017, capacitySd: 0.014, lost: { likely: 0.005, sd: 0.005 } };

/**
 * What was counted, as what stays in the cell or leaves it, Ah, 95 %. @param ah into the cell; out: negative
 * @param capacitySd of the capacity it is held against, share
 */
export function countedAh(ah: number, capacitySd: number = COUNT.capacitySd): Bounds {
	requireFinite(ah, 'ah');
	const kept = ah > 0 ? ah * (1 - COUNT.lost.likely) : ah;
	const half = 1.96 * Math.abs(ah) * Math.hypot(COUNT.sd, capacitySd, ah > 0 ? COUNT.lost.sd : 0);
	return { low: kept - half, high: kept + half };
}
