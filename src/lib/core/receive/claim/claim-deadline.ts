/** Days after arrival in which a defect is usually told (default; the supplier’s terms and the law come first). */
export const CLAIM_DAYS = 14;

const DAY_MS = 86_400_000;

/** The last day on which a defect is told to the supplier, `YYYY-MM-DD`; 14 days after arrival where nobody said (default). */
export const claimUntilOf = ({ receivedOn, claimDays }: { receivedOn: string; claimDays: number | null }): string =>
	new Date(Date.parse(receivedOn) + (claimDays ?? CLAIM_DAYS) * DAY_MS).toISOString().slice(0, 10);

/** A cell that waits for its test. */
export interface WaitingForTest {
	id: number;
	/** Last day of its claim, `YYYY-MM-DD`. */
	claimUntil: string;
	/** Something was seen or read of it already. */
	odd: boolean;
}

/** Cells whose claim ends on one day before their tests do. */
export interface LateTests {
	claimUntil: string;
	/** End of the last of their tests, ISO. */
	endsAt: string;
	/** Whole days that is beyond the claim, at least 1. */
	lateDays: number;
	/** In the order of the timetable. */
	late: number[];
	/** What to test first instead: of these cells the odd ones, else as many late ones as cells with a later claim stand before them. */
	first: number[];
}

/**
 * A timetable of tests held against the claims of the deliveries the cells came in. A test counts when it ends on the last day.
 * @param tests end of each cell’s discharge, ISO; cells without one are left out @param waiting cells of any delivery
 * @param beginsAt of the timetable, ISO: a claim that had ended by then is past, and no order of tests meets it
 * @returns one entry a day of claim that is missed, earliest first
 */
export function testsAgainstClaims(
	tests: readonly { cellId: number; endsAt: string }[],
	waiting: readonly WaitingForTest[],
	beginsAt: string
): LateTests[] {
	const known = new Map(waiting.map((cell) => [cell.id, cell]));
	const order = tests
		.flatMap(({ cellId, endsAt }) => {
			const cell = known.get(cellId);
			return cell ? [{ ...cell, endsMs: Date.parse(endsAt) }] : [];
		})
		.sort((a, b) => a.endsMs - b.endsMs);
	const closesMs = (claimUntil: string) => Date.parse(claimUntil) + DAY_MS;
	const days = [...new Set(order.map((c) => c.claimUntil))].sort();
	return days.flatMap((claimUntil) => {
		const own = order.filter((c) => c.claimUntil === claimUntil);
		const late = own.filter((c) => c.endsMs > closesMs(claimUntil));
		if (late.length === 0 || closesMs(claimUntil) <= Date.parse(beginsAt)) return [];
		const lastMs = late.at(-1)!.endsMs;
		const odd = late.filter((c) => c.odd);
		const lessUrgent = order.filter((c) => c.claimUntil > claimUntil && c.endsMs <= late[0]!.endsMs).length;
		return [
			{
				claimUntil,
				endsAt: new Date(lastMs).toISOString(),
				lateDays: Math.ceil((lastMs - closesMs(claimUntil)) / DAY_MS),
				late: late.map((c) => c.id),
				first: (odd.length ? odd : late.slice(0, lessUrgent)).map((c) => c.id)
			}
		];
	});
}
