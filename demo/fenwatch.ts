import { cellTypes } from '$lib/server/records';
import type { BankInput } from '$lib/server/records/banks/input';
import type { PlanInput } from '$lib/server/records/plans/input';
import { daysBefore } from './clock';
import { MARSH_230 } from './heronry';
import { make } from './make';

const ALWAYS = Array.from({ length: 24 }, (_, h) => h);
const thing = { count: 1, share: 1, months: null, surgeW: null, dc: true };

/** The hide's sister on the fen: nothing is bought yet. A box 6 mm short, two bars too few, and a November that is too dark. */
export async function loadFenwatch(now: Date): Promise<void> {
	const [type] = await cellTypes.all({ name: MARSH_230.name });
	const bank: BankInput = {
		name: 'Fenwatch',
		bankUse: 'cabin',
		chemistry: 'LFP',
		series: 8,
		parallel: 1,
		batteries: 1,
		cellTypeId: type!.id,
		notes:
			'A second hide, on posts in the fen. Reached by punt: what cannot be carried along a plank is not built there.',
		endFraction: 0.8
	};
	const { id: bankId } = await make('banks', bank);
	const plan: PlanInput = {
		bankId,
		latitudeDeg: 52.9,
		loads: [
			{ ...thing, name: 'Camera mast', w: 14, hours: ALWAYS },
			{ ...thing, name: 'Lamps', w: 6, count: 4, hours: [16, 17, 18, 19, 20, 21] },
			{ ...thing, name: 'Radio link', w: 9, hours: ALWAYS },
			{
				...thing,
				name: 'Dew heaters',
				w: 20,
				hours: [20, 21, 22, 23, 0, 1, 2, 3, 4, 5],
				months: [9, 10, 11, 12, 1, 2, 3],
				share: 0.5
			},
			{ ...thing, name: 'Kettle', w: 1800, hours: [7, 11, 16], share: 0.1, dc: false }
		],
		inverter: { efficiency: 0.89, idleW: 9 },
		standbyW: 2.5,
		window: 0.8,
		fields: [{ w: 1760, tiltDeg: 60, azimuthDeg: 180 }],
		sunHours: [0.6, 1.2, 2.3, 3.7, 4.7, 5.1, 4.9, 4.1, 2.9, 1.6, 0.8, 0.5],
		airC: [4, 4, 6, 9, 12, 15, 17, 17, 14, 11, 7, 5],
		sources: [],
		coldestC: -12,
		chargers: [
			{
				name: 'Solar controller',
				kind: 'solar',
				a: 20,
				absorbV: 28,
				lithium: true,
				mostPanelV: 100,
				panelOpenV: 92,
				panelWorkV: 76,
				startMarginV: 5
			}
		],
		supplies: [
			{ name: 'Bench supply', a: 10, lowestV: 0, highestV: 30, leadOhm: 0.02 },
			{ name: 'Punt’s charger', a: 8, lowestV: 12, highestV: 15, leadOhm: 0.02 }
		],
		seriesChargeA: 20,
		studsPerPole: 1,
		balance: 'together',
		kit: { bar: 12, stud: 16, nut: 24, ring: 9, insulationSheet: 8, endPlate: 2, mainTerminal: 2, thermistorPad: 2 },
		box: {
			lengthMm: 445,
			widthMm: 190,
			heightMm: 262,
			insulationMm: 1,
			endPlateMm: 6,
			lidMm: 40,
			cableMm: 0,
			bms: null
		},
		people: 1,
		cellPrice: 78,
		bmsPrice: 112,
		readyMadePrice: 1690,
		readyMadeWh: 4600,
		orderOn: daysBefore(now, -3).slice(0, 10),
		cellLeadDays: 45,
		partLeadDays: 20,
		testers: 1,
		testA: 20,
		hoursADay: 4
	};
	await make('plans', plan);
	await make('price-snapshots', {
		bankId,
		takenAt: daysBefore(now, 40),
		items: [
			{ name: 'Marshlight M230', quantity: 8, unitPrice: 84, shipping: 64 },
			{ name: 'BMS 8S 100 A', quantity: 1, unitPrice: 112, shipping: 0 }
		]
	});
	const asked = daysBefore(now, 6).slice(0, 10);
	for (const item of [
		{ name: 'Marshlight M230', quantity: 8, unitPrice: 78, shipping: 64, source: 'Saltpan Battery Stores' },
		{ name: 'BMS 8S 100 A', quantity: 1, unitPrice: 112, shipping: 0, source: 'Saltpan Battery Stores' },
		{ name: 'Box, inside 445 × 190', quantity: 1, unitPrice: 58.5, shipping: 12, source: 'the joiner' },
		{ name: 'Main fuse with holder', quantity: 1, unitPrice: 41, shipping: 0, source: 'the chandler' },
		{ name: 'Torque screwdriver', quantity: 1, unitPrice: 45, shipping: 0, source: 'lent by Heronry', used: true }
	])
		await make('plan-items', { bankId, pricedOn: asked, ...item });
}
