import { INSTRUMENT_HOOKS } from './rehearsals/bench/hooks';
import { takeStages } from './judgements/judge';
import { LIVE_HOOKS } from './live/hooks';
import { takeHooks } from './records/hooks';
import { BALANCE_HOOKS } from './stages/balance/hooks';
import { STEPS_HOOKS } from './stages/balance/steps-hooks';
import { BUILD_HOOKS } from './stages/build/hooks';
import { RECEIVE_HOOKS } from './stages/receive/hooks';
import { STAGE_FACES } from './stages/registry';

// What lies below is given what lies above once, where the server or one of its threads starts.
takeStages(STAGE_FACES);
takeHooks([LIVE_HOOKS, INSTRUMENT_HOOKS, RECEIVE_HOOKS, BUILD_HOOKS, BALANCE_HOOKS, STEPS_HOOKS]);
