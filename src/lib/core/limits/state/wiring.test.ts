import { describe, expect, it } from 'vitest';
import { picture, type PictureBattery } from '../../picture';
import { wiringVerdicts } from './wiring';

const battery = (id: number, more: Partial<PictureBattery> = {}): PictureBattery => ({
	id,
	number: id,
	name: null,
	kind: 'built',
	series: 16,
	parallel: 1,
	joins: 'parallel',
	newOn: null,
	bmsA: 100,
	bmsResolutionV: null,
	bmsLeastCells: null,
	bmsMostCells: null,
	fuseA: 125,
	cableA: 150,
	standbyA: null,
	ratedAh: null,
	ratedWh: null,
	nominalV: null,
	mostInSeries: null,
	builtDespite: null,
	rows: null,
	squareBlocks: null,
	outputsAt: null,
	groups: [],
	...more
});
const built = battery(1);
const small = battery(2, { kind: 'ready-made', ratedAh: 100, nominalV: 51.2, bmsA: null });
const told = (batteries: PictureBattery[], peakW: number, cutoffV: number | null = null) =>
	wiringVerdicts(picture([], { batteries, plannedDraw: { peakW, cutoffV } }), batteries[0]!);

describe('a BMS that is made for other numbers of cells', () => {
	const codes = (more: Partial<PictureBattery>) => told([battery(1, more)], 1).map((v) => v.code);
	it('is a stop for too few of them and for too many', () => {
		expect(codes({ series: 4, bmsLeastCells: 8 })).toEqual(['bms-cells', 'wiring-holds']);
		expect(codes({ series: 16, bmsMostCells: 8 })).toContain('bms-cells');
		expect(codes({ series: 8, bmsLeastCells: 8, bmsMostCells: 8 })).toEqual(['wiring-holds']);
	});
	it('of a ready-made battery is its maker’s business', () =>
		expect(codes({ kind: 'ready-made', series: 4, bmsLeastCells: 8 })).not.toContain('bms-cells'));
});

describe('the loads of the plan on the wiring of one battery', () => {
	it('are all of them on the only one', () => {
		// By hand: 4 900 W at 49.6 V (16 × 3.10 V) are 98.8 A: above 100 ÷ 1.25.
		expect(told([built], 4900)).toMatchObject([{ code: 'wiring-under-load' }]);
		expect(told([built], 3900)).toMatchObject([{ code: 'wiring-holds' }]);
	});
	it('are most amperes where the inverter stops: 3 900 W at 60 V fit, at 44 V they do not', () => {
		expect(told([built], 3900, 60)).toMatchObject([{ code: 'wiring-holds' }]);
		const [verdict] = told([built], 3900, 44);
		// By hand: 3 900 W ÷ 44 V = 88.6 A, × 1.25 above the BMS of 100 A.
		expect(verdict!.facts.loadA).toBeCloseTo(88.6, 1);
	});
	it('are shared by what unlike batteries hold: 280 of 380 Ah carry 74 %', () => {
		const [verdict] = told([built, small], 6000);
		expect(verdict).toMatchObject({ code: 'wiring-under-load' });
		expect(verdict!.facts.peakW).toBeCloseTo((6000 * 280) / 380, 6);
		expect(verdict!.title).toContain('battery 1');
	});
	it('alike where nobody says what one of them holds', () =>
		expect(told([built, { ...small, ratedAh: null }], 9000)[0]!.facts.peakW).toBeCloseTo(4500, 6));
});
