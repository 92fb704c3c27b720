export {
	USUAL_METER_SD_V,
	judgeBalanceLeads,
	type BalanceLeadsInput,
	type LeadExplanation,
	type LeadsJudgement,
	type NextReading
} from './balance-leads';
export { ampacityA, areaOfAwgMm2, conductorOf, copperOhm, shortCircuitA, type Conductor } from './conductors';
export { MOST_GROUP_V, jointsHidden, judgeJoints, type Joint, type JointsInput } from './joints';
export { expectedStaircase, type CellsKnown } from './lead-likelihood';
export { leadVerdict } from './judge-leads';
export { usualTorque } from './torque';
export { jointVerdicts } from './judge-joints';
export { torqueVerdicts, type TightenedJoint } from './torque';
export { LEAD_CODES, type LeadCode } from './lead-wirings';
export { precharge, type Precharge, type PrechargeInput } from './precharge';
export { currentShares, leadsToAddOhm } from './sharing';
export { screwFit, type ScrewFit, type ScrewInput } from './screws';
export { boxArrangements, type BoxArrangement, type BoxFitInput } from './box-fit';
export { OUTPUT_CORNERS, type BatteryShape, type OutputCorner } from './battery-shape';
