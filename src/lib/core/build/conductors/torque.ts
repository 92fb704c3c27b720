import { type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

/** What a joint may be tightened to without a question, N·m (default, M6 in aluminium; the cell maker’s figure comes first). */
const USUAL_NM = { low: 4, high: 6 };

/** A maker’s single figure is kept within this share (default): a usual torque wrench. */
const MAKER_WITHIN = 0.1;

/** Between what a joint may be tightened without a question, N·m. @param makerNm the cell maker’s figure; null: the usual range */
export const usualTorque = (makerNm: number | null): { low: number; high: number } =>
	makerNm === null ? USUAL_NM : { low: makerNm * (1 - MAKER_WITHIN), high: makerNm * (1 + MAKER_WITHIN) };

/** The torque of a joint as it was last tightened. */
export interface TightenedJoint {
	/** 0: battery negative; k: between group k and the next; S: battery positive. */
	position: number;
	torqueNm: number;
}

/** A joint as what a verdict is about. */
export const jointSubject = (battery: Subject, position: number): Subject => ({
	kind: 'joint',
	id: `${battery.id}/${position}`,
	label: `Joint ${position}`
});

/**
 * The joints of a battery of S groups, 0 (battery negative) to S (positive): those without a torque, and torques that are unusual.
 * @param tightened the latest of each joint
 * @param makerNm by the cell maker; the usual figures when null
 */
export function torqueVerdicts(
	series: number,
	tightened: readonly TightenedJoint[],
	subject: Subject,
	makerNm: number | null = null
): Verdict[] {
	const { low, high } = usualTorque(makerNm);
	const known = new Set(tightened.map((t) => t.position));
	const open = Array.from({ length: series + 1 }, (_, k) => k).filter((k) => !known.has(k));
	const odd = tightened
		.filter(({ torqueNm }) => torqueNm < low || torqueNm > high)
		.map(({ position, torqueNm }) =>
			say('torque-odd', 'look', jointSubject(subject, position), {
				torqueNm,
				lowNm: low,
				highNm: high,
				byMaker: makerNm !== null
			})
		);
	const counted = open.length
		? say(
				'torques-open',
				'open',
				subject,
				{ joints: open, of: series + 1 },
				open.map((k) => jointSubject(subject, k))
			)
		: say('torques-kept', 'calm', subject, { joints: series + 1 });
	return [...odd, counted];
}
