export { type Joint, type JointsInput, MOST_GROUP_V, judgeJoints } from './joints';
export { jointVerdicts } from './judge-joints';
