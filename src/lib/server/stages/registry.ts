import { balanceStage } from './balance/stage';
import { buildStage } from './build/stage';
import { limitsStage } from './limits/stage';
import { matchStage } from './match/stage';
import { planStage } from './plan/stage';
import { proveStage } from './prove/stage';
import { receiveStage } from './receive/stage';
import { serveStage } from './serve/stage';
import type { StageFace } from './stage';
import { testStage } from './test/stage';

/** The stages in the practitioner's order. */
export const STAGE_FACES: readonly StageFace[] = [
	planStage,
	receiveStage,
	testStage,
	matchStage,
	balanceStage,
	buildStage,
	limitsStage,
	proveStage,
	serveStage
];
