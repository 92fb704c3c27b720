import type { Scenario } from '../bench';
import { drawScenario, type CrateWish } from './draw-scenario';

export const READY_SCENARIOS = ['first-crate', 'second-hand', 'lying-bench', 'everything'] as const;
export type ReadyScenario = (typeof READY_SCENARIOS)[number];

const WISHES: Record<ReadyScenario, CrateWish> = {
	'first-crate': {
		name: 'The first crate',
		story:
			'Five new cells for a small 12 V box, four to build in and one to spare. The bench is honest. One cell may not be what its label says.',
		seed: 41,
		ratedAh: 100,
		series: 4,
		parallel: 1,
		spares: 1,
		timeFactor: 1000,
		defects: ['weak-cell']
	},
	'second-hand': {
		name: 'A second-hand lot',
		story:
			'Ten cells out of a yard’s fork lift, sold as matched. Eight are wanted, two by two. The sleeves have been renewed, and not by anyone careful.',
		seed: 1907,
		ratedAh: 230,
		series: 4,
		parallel: 2,
		spares: 2,
		timeFactor: 1000,
		defects: ['weak-cell', 'high-resistance', 'wrong-print', 'leaking-cell']
	},
	'lying-bench': {
		name: 'The borrowed bench',
		story:
			'Six decent cells, four wanted. The supply and the load are borrowed and have not seen a calibration since they were new.',
		seed: 77,
		ratedAh: 100,
		series: 4,
		parallel: 1,
		spares: 2,
		timeFactor: 1000,
		defects: ['biased-tester', 'supply-display', 'weak-cell']
	},
	everything: {
		name: 'Everything at once',
		story:
			'Ten cells for a 24 V bank. The crate, the joints, the balance leads and the BMS each have something to hide. Take your time.',
		seed: 3301,
		ratedAh: 280,
		series: 8,
		parallel: 1,
		spares: 2,
		timeFactor: 1000,
		defects: [
			'weak-cell',
			'high-resistance',
			'wrong-print',
			'loose-bar',
			'swapped-leads',
			'bms-reading',
			'biased-tester'
		]
	}
};

/** What a person is told before choosing. */
export const readyScenarios = (): {
	key: ReadyScenario;
	name: string;
	story: string;
	cells: number;
	layout: string;
}[] =>
	READY_SCENARIOS.map((key) => {
		const { name, story, series, parallel, spares } = WISHES[key];
		return { key, name, story, cells: series * parallel + spares, layout: `${series}S${parallel}P` };
	});

export const readyScenario = (key: ReadyScenario): Scenario => drawScenario(WISHES[key]);
