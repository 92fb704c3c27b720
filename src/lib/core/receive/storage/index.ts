export { HEALTHY_PERCENT, judgeLeakage, judgeStorageTest, type StorageTest } from './judge-leakage';
export { leakageByReadings, leakageByRefill, type Leakage, type Refill, type StoredReading } from './self-discharge';
