export { judgeLeakage, judgeStorageTest } from './judge-leakage';
export { type Leakage, type StoredReading, leakageByReadings, leakageByRefill } from './self-discharge';
