import { WHOLE_BANK, say, type Subject, type Verdict } from '../verdicts';

/**
 * A fuse guards the cable behind it: its rating is not above what the cable carries (models, conductors and fuses).
 * @param fuseA, cableA amps, null where nobody has said: then nothing is said
 */
export function checkWiring(
	{ fuseA, cableA }: { fuseA: number | null; cableA: number | null },
	subject: Subject = WHOLE_BANK
): Verdict[] {
	return fuseA !== null && cableA !== null && fuseA > cableA
		? [say('fuse-over-cable', 'stop', subject, { fuseA, cableA })]
		: [];
}
