import { groups as byKey, max, mean } from 'd3-array';
import { capacityTests, serviceChecks, type Placement } from '../records';
import { event, type PassportEvent } from './events';

/** What was read or tested of its battery while a cell sat in a group of it. */
interface GroupHistory {
	checks: readonly { checkedAt: string; groupVoltagesV: readonly (number | null)[] }[];
	tests: readonly { testedAt: string; capacityAh: number; sdAh: number; efc?: number | null }[];
}

const isWithin = (at: string, { placedAt, removedAt }: Placement): boolean =>
	Date.parse(at) >= Date.parse(placedAt) && (removedAt === null || Date.parse(at) < Date.parse(removedAt));

/** How far a group stood from the mean of all groups read with it, V; null where it was not read. */
function fromMeanV(volts: readonly (number | null)[], position: number): number | null {
	const own = volts[position - 1] ?? null;
	const all = volts.filter((v): v is number => v !== null);
	return own === null || all.length < 2 ? null : own - mean(all)!;
}

/** The years of a group as those of a cell in it: each test of its battery, and of the checks of a year the furthest. */
export function groupEvents(placement: Placement, { checks, tests }: GroupHistory): PassportEvent[] {
	const { position, battery } = placement;
	const years = byKey(
		checks.flatMap((c) => {
			const awayV = fromMeanV(c.groupVoltagesV, position);
			return awayV === null ? [] : [{ at: c.checkedAt, awayV }];
		}),
		(c) => c.at.slice(0, 4)
	);
	return [
		...years.map(([year, read]) => {
			const furthestV = max(read, (c) => Math.abs(c.awayV))!;
			const times = read.length === 1 ? 'once' : `${read.length} times`;
			return event(
				read.at(-1)!.at,
				'group',
				`Its group was read ${times} in ${year}`,
				`Group ${position} of battery ${battery}: at most ${Math.round(1000 * furthestV)} mV from the mean of its groups.`
			);
		}),
		...tests.map((t) =>
			event(
				t.testedAt,
				'group',
				`Its battery held ${t.capacityAh.toFixed(1)} ± ${(1.96 * t.sdAh).toFixed(1)} Ah`,
				`Battery ${battery}, tested whole${t.efc == null ? '' : ` after ${Math.round(t.efc)} full cycles`}: its smallest group held so much.`
			)
		)
	];
}

/** The same for every place a cell has had. */
export async function yearsInGroups(placed: readonly Placement[]): Promise<PassportEvent[]> {
	const bankIds = [...new Set(placed.map((p) => p.bankId))];
	if (bankIds.length === 0) return [];
	const [checks, tests] = await Promise.all([
		serviceChecks.all({ bankId: bankIds }),
		capacityTests.all({ bankId: bankIds })
	]);
	return placed.flatMap((p) =>
		groupEvents(p, {
			checks: checks.filter((c) => c.bankId === p.bankId && c.battery === p.battery && isWithin(c.checkedAt, p)),
			tests: tests.filter((t) => t.bankId === p.bankId && t.battery === p.battery && isWithin(t.testedAt, p))
		})
	);
}
