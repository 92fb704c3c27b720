import { isInService } from '$lib/core/stages';
import { defineStage, noFacts } from '../stage';

/** Named on the rail, not part of this version: a bank in service has been through it. */
export const buildStage = defineStage({
	name: 'build',
	facts: noFacts,
	judge: (picture) => ({ verdicts: [], done: isInService(picture) })
});
