export { type StoppedReading, judgeLight } from './light';
export { readAgain } from './read-again';
export { type SettledCell, judgeSettled, settledV } from './settled';
