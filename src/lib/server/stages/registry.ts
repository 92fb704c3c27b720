import { balanceStage } from './balance/face';
import { buildStage } from './build/face';
import { limitsStage } from './limits/face';
import { matchStage } from './match/face';
import { planStage } from './plan/face';
import { proveStage } from './prove/face';
import { receiveStage } from './receive/face';
import { serveStage } from './serve/face';
import type { StageFace } from '../judgements/stage-face';
import { testStage } from './test/face';

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
