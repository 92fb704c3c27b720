import { type Verdict } from '../foundation/verdicts';
import { say } from './verdicts';
import type { BankPicture, BatteryChange, PictureBattery } from './picture';
import { batterySubject } from './picture-parts';

/** What is proved of a battery by reading or measuring it. */
export const EVIDENCE = ['leads', 'torques', 'joints', 'bms', 'counters', 'capacity', 'balance'] as const;
export type Evidence = (typeof EVIDENCE)[number];

const CELL_CHANGES = ['cell-exchanged', 'cell-taken-out'] as const;

/** What undoes each proof: it rests on these cells, leads, joints and this BMS. */
const UNDONE_BY: Record<Evidence, readonly BatteryChange['kind'][]> = {
	leads: [...CELL_CHANGES, 'lead-moved', 'bms-changed'],
	torques: [...CELL_CHANGES, 'joint-opened'],
	joints: [...CELL_CHANGES, 'joint-opened'],
	bms: [...CELL_CHANGES, 'lead-moved', 'bms-changed'],
	counters: [...CELL_CHANGES, 'bms-changed'],
	capacity: CELL_CHANGES,
	balance: CELL_CHANGES
};

const isCellChange = ({ kind }: BatteryChange) => (CELL_CHANGES as readonly string[]).includes(kind);

/** Whether a change touches the joint at a position: a cell's group has the joints below and above it. */
const touchesJoint = (change: BatteryChange, joint: number): boolean =>
	change.positions.length === 0 ||
	change.positions.some((p) => (isCellChange(change) ? joint === p - 1 || joint === p : joint === p));

/**
 * The latest change that undid a proof; null: it stands.
 * @param at when it was read or measured, ISO
 * @param joint only changes that touch this joint count; missing: all
 */
export function undoneBy(
	{ changes }: Pick<BankPicture, 'changes'>,
	battery: Pick<PictureBattery, 'id'>,
	evidence: Evidence,
	at: string,
	joint?: number
): BatteryChange | null {
	const later = changes.filter(
		(c) =>
			c.batteryId === battery.id &&
			Date.parse(c.at) > Date.parse(at) &&
			UNDONE_BY[evidence].includes(c.kind) &&
			(joint === undefined || touchesJoint(c, joint))
	);
	return later.length ? later.reduce((a, b) => (Date.parse(b.at) > Date.parse(a.at) ? b : a)) : null;
}

/** A proof that no longer stands, and what undid it. */
export interface Lapse {
	evidence: Evidence;
	change: BatteryChange;
}

/** What is to be proved again of a battery, one verdict for all that one stage asks; none when all of it stands. */
export function lapseVerdicts(picture: BankPicture, battery: PictureBattery, lapses: readonly Lapse[]): Verdict[] {
	if (lapses.length === 0) return [];
	const latest = lapses.map((l) => l.change).reduce((a, b) => (Date.parse(b.at) > Date.parse(a.at) ? b : a));
	const evidence = EVIDENCE.filter((e) => lapses.some((l) => l.evidence === e));
	return [
		say('evidence-lapsed', 'open', batterySubject(picture, battery), {
			evidence,
			cause: latest.kind,
			positions: latest.positions,
			out: latest.out,
			into: latest.into,
			on: latest.at.slice(0, 10)
		})
	];
}
