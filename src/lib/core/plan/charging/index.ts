export {
	type ChargerChoice,
	type ChargerFit,
	type ChargingInput,
	besideLead,
	chargerFits,
	chargingVerdicts
} from './charging';
export { type FirstCharge, type SupplyChoice, firstCharge, suppliesForOneCell } from './first-charge';
export { HARDWARE_ITEMS, type Hardware, type HardwarePlan, type Shortfall, hardwareFor, shortfalls } from './hardware';
