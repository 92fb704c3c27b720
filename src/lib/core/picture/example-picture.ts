import type { Clause } from './clause';
import { ASSUMED_METER } from '../foundation/reading';
import type { BankPicture, PictureCell, PictureDelivery, PictureRun } from './picture';

/** Made-up records for tests of stages: a crate of cells of 280 Ah for a bank of two groups. */
export const clause: Clause = {
	kind: 'minimum',
	capacityAh: 280,
	chargeV: 3.65,
	tailCRate: 0.05,
	restH: 1,
	dischargeCRate: 0.5,
	cutoffV: 2.5,
	temperatureC: 20
};
export const run = (more: Partial<PictureRun> = {}): PictureRun => ({
	id: 1,
	version: 1,
	source: 'hand',
	capacityAh: 284,
	sdAh: 2.84,
	energyWh: null,
	currentA: -140,
	powerW: null,
	restS: 3600,
	cutoffV: 2.5,
	startedFull: true,
	cRate: null,
	temperatureC: 20,
	testedAt: '2026-03-09T00:00:00Z',
	tester: 'A',
	fileName: null,
	faults: null,
	...more
});
export const cell = (id: number, runs: PictureRun[], more: Partial<PictureCell> = {}): PictureCell => ({
	id,
	label: `X-0${id}`,
	deliveryId: 1,
	position: id,
	batch: null,
	code: null,
	codeTwins: [],
	inspection: null,
	storageTest: null,
	plusTurned: false,
	readings: {},
	joined: null,
	runs,
	groupId: null,
	touches: [],
	arrivalRead: null,
	...more
});
export const delivery: PictureDelivery = {
	id: 1,
	name: 'Crate',
	receivedOn: '2026-03-01',
	supplier: null,
	orderedOn: null,
	promisedOn: null,
	cellPrice: null,
	shipping: null,
	promisedGrade: null,
	promisedTerminals: null,
	promisedAh: null,
	promisedClause: null,
	promisedResistanceMohm: null,
	gradeCapacityAh: null,
	gradeResistanceMohm: null,
	promisedProducedOn: null,
	claimDays: null,
	used: null
};
export const picture = (cells: PictureCell[], more: Partial<BankPicture> = {}): BankPicture => ({
	bank: {
		id: 1,
		name: 'Cabin',
		chemistry: 'LFP',
		series: 2,
		parallel: 1,
		batteries: 1,
		inServiceOn: null,
		createdAt: '2026-01-01T00:00:00Z',
		endFraction: 0.8,
		rehearsal: false
	},
	cellType: {
		name: 'Q280',
		chemistry: 'LFP',
		ratedAh: 280,
		acResistanceMohm: null,
		chargeLimitV: 3.65,
		dischargeLimitV: 2.5,
		chargeColdC: 0,
		chargeHotC: 45,
		dischargeColdC: -20,
		dischargeHotC: 55,
		chargeCRate: 0.5,
		dischargeCRate: 1
	},
	clauses: [clause],
	currency: '€',
	meters: ASSUMED_METER,
	testerCalibrations: [],
	deliveries: [delivery],
	cells,
	batteries: [],
	limitPlan: null,
	balanceRun: null,
	methodRun: null,
	wasChecked: false,
	changes: [],
	batteryTests: [],
	...more
});
