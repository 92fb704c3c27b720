export { type Joint, type JointsInput, MAX_GROUP_V, judgeJoints } from './joints';
export { jointVerdicts } from './judge-joints';
