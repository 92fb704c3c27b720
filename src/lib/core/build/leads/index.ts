export { type BalanceLeadsInput, type LeadsJudgement, USUAL_METER_SD_V, judgeBalanceLeads } from './balance-leads';
export { leadVerdict } from './judge-leads';
export { type CellsKnown, expectedStaircase } from './lead-likelihood';
export { LEAD_CODES, type LeadCode } from './lead-wirings';
