import { WHOLE_BANK, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import type { Chemistry } from '../../foundation/chemistry';
import { jointsHidden, type Joint } from './joints';

/** A joint with this much more than its like, for sure, is looked at, Ω (default: a good one has 0.05 to 0.1 mΩ in all). */
const LOOSE_MOHM = 0.1;
/** Heat in one joint that goes on melting things, W. */
const HOT_W = 5;
/** A reading that would not show a joint this bad says nothing of joints, mΩ. */
const MUST_SHOW_MOHM = 0.25;

export interface JointsRead {
	joints: readonly Joint[];
	/** The current they were read at, magnitude, A, and the most the battery will carry; null where nobody said. */
	currentA: number;
	ratedA?: number | null;
	/** How the groups stood at rest, and their chemistry; null or missing: not asked whether joints show at all. */
	rest?: { restV: readonly number[]; chemistry: Chemistry } | null;
}

/** The sense leads of a group enclose its cell and the joint towards the next group: what is read is told of the group. */
const senseSubject = (battery: Subject, position: number): Subject => ({
	kind: 'group',
	id: `${battery.id}/${position}`,
	label: `Group ${position}`
});

/** What to make of the joints of a battery, the worst first. @param subject the battery they belong to; @param groups its groups by position, named by the battery where missing */
export function jointVerdicts(
	{ joints, currentA, ratedA = null, rest = null }: JointsRead,
	subject: Subject = WHOLE_BANK,
	groups: readonly Subject[] = []
): Verdict[] {
	const hidden = rest && jointsHidden(rest.restV, rest.chemistry);
	const amps = Math.abs(currentA);
	const seesMohm = Math.max(...joints.map(({ mOhm }) => (mOhm.high95 - mOhm.low95) / 2));
	const loose = joints
		.filter(({ mOhm }) => mOhm.low95 > LOOSE_MOHM)
		.sort((a, b) => b.mOhm.likely - a.mOhm.likely)
		.map(({ group, mOhm, heatW }) => {
			const ratedHeatW = ratedA === null ? null : ratedA ** 2 * (mOhm.likely / 1000);
			const hot = Math.max(heatW, ratedHeatW ?? 0) >= HOT_W;
			const facts = { mOhm: { ...mOhm }, heatW, currentA: amps, ratedHeatW, ratedA, group };
			return say('joint-loose', hot ? 'stop' : 'look', groups[group - 1] ?? senseSubject(subject, group), facts);
		});
	if (hidden) {
		// It may be charge, and it may be a joint that burns: nobody is told to wait with looking.
		const suspects = joints.filter(({ mOhm }) => mOhm.low95 > LOOSE_MOHM).map((j) => j.group);
		return [say('joints-hidden', suspects.length ? 'look' : 'open', subject, { ...hidden, suspects })];
	}
	if (loose.length) return loose;
	if (seesMohm > MUST_SHOW_MOHM)
		return [
			say('joints-unclear', 'open', subject, {
				seesMohm,
				currentA: amps,
				wantedA: (amps * seesMohm) / MUST_SHOW_MOHM
			})
		];
	const worst = joints.reduce((a, b) => (b.mOhm.likely > a.mOhm.likely ? b : a));
	return [
		say('joints-even', 'calm', subject, {
			worst: worst.group,
			mOhm: { ...worst.mOhm },
			seesMohm,
			currentA: amps
		})
	];
}
