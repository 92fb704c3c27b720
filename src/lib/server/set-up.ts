import { takeStages } from './judgements/judge';
import { STAGE_FACES } from './stages/registry';

// What lies below is given what lies above once, where the server or one of its threads starts.
takeStages(STAGE_FACES);
