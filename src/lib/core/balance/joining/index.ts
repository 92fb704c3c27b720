export { type BarReading, type BarRow, barOhms, judgeBars, rowCurrents } from './bar-row';
export { type JoinAnswer, type JoinInput, checkJoining, currentsJoined, firstCurrents } from './join-check';
export { USUAL_LINK_OHM } from './join-limits';
export { type JoinCheck, checkJoin } from './join';
export { type JoinedCell, joinedVerdicts } from './joined';
export { type LeftJoined, leftJoined } from './left-joined';
export { type LyingCell, parallelHarness } from './parallel-harness';
