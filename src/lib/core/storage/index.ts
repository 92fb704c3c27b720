export { HEALTHY_PERCENT, judgeLeakage } from './judge-leakage';
export { leakageByReadings, leakageByRefill, type Leakage, type Refill, type StoredReading } from './self-discharge';
