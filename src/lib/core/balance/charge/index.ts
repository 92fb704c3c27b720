export { type AfterPause, type PauseChange, type PauseCheck, type PausedBalance, afterPause } from './after-pause';
export { arrivalByCharge, judgeArrival } from './arrival-by-charge';
export { chargeVerdicts, rowOver } from './judge-charge';
