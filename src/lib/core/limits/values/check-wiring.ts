import { FUSE_MARGIN, say } from '../verdicts';
import { WHOLE_BANK, type Subject, type Verdict } from '../../foundation/verdicts';

/** Main fuse, cable and BMS of a battery, A; null where nobody has said. */
export interface Wiring {
	fuseA: number | null;
	cableA: number | null;
	bmsA: number | null;
	/** What may run from it together, W, and its voltage when it is lowest; null or missing: nobody has said. */
	load?: { peakW: number; leastV: number } | null;
}

/** What carries less than the loads draw, or has no room above them. */
function loadVerdicts({ fuseA, cableA, bmsA, load }: Wiring, subject: Subject): Verdict[] {
	if (!load || load.peakW <= 0) return [];
	const loadA = load.peakW / load.leastV;
	const parts = [
		{ part: 'BMS' as const, ratedA: bmsA, wantedA: FUSE_MARGIN * loadA },
		{ part: 'main fuse' as const, ratedA: fuseA, wantedA: FUSE_MARGIN * loadA },
		{ part: 'cable' as const, ratedA: cableA, wantedA: loadA }
	].flatMap(({ ratedA, ...more }) => (ratedA !== null && ratedA < more.wantedA ? [{ ...more, ratedA }] : []));
	if (parts.length === 0) return [];
	const facts = { parts, peakW: load.peakW, leastV: load.leastV, loadA, margin: FUSE_MARGIN };
	return [say('wiring-under-load', parts.some((p) => p.ratedA < loadA) ? 'look' : 'open', subject, facts)];
}

/**
 * Fuse, cable and BMS against each other, every pair: the fuse not above the cable (it guards it), the cable not below what the BMS
 * lets through, the fuse at least 1.25 × that (models, conductors and fuses); and all three against what runs from them at the lowest
 * voltage. What is blank cannot be compared, and that is said.
 */
export function checkWiring(wiring: Wiring, subject: Subject = WHOLE_BANK): Verdict[] {
	const { fuseA, cableA, bmsA } = wiring;
	const verdicts: Verdict[] = [];
	if (fuseA !== null && cableA !== null && fuseA > cableA)
		verdicts.push(say('fuse-over-cable', 'stop', subject, { fuseA, cableA }));
	if (bmsA !== null && cableA !== null && bmsA > cableA)
		verdicts.push(say('bms-over-cable', 'look', subject, { bmsA, cableA }));
	if (bmsA !== null && fuseA !== null && fuseA < FUSE_MARGIN * bmsA)
		verdicts.push(say('fuse-under-bms', 'look', subject, { bmsA, fuseA, margin: FUSE_MARGIN }));
	verdicts.push(...loadVerdicts(wiring, subject));
	const blank = [
		...(fuseA === null ? ['main fuse'] : []),
		...(cableA === null ? ['cable'] : []),
		...(bmsA === null ? ['BMS'] : [])
	];
	if (blank.length) verdicts.push(say('wiring-unknown', 'open', subject, { blank }));
	else if (verdicts.length === 0)
		verdicts.push(say('wiring-holds', 'calm', subject, { fuseA: fuseA!, cableA: cableA!, bmsA: bmsA! }));
	return verdicts;
}
