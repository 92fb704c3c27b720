import {
	HYSTERESIS_V,
	beyondEnds,
	drawnCurve,
	mostOfOneCellV,
	restVoltageCurve,
	LOADED_OHM_AH,
	type Chemistry
} from '../../foundation/chemistry';
import { intervalOf, normalDraw, seededRandom, type Interval } from '../../foundation/statistics';
import { requireFinite, requirePositive } from '../../foundation/errors';
import { snapshotBounds } from '../../foundation/snapshot';
import { cellSubject } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { later, ofStep, step, type FollowMethod, type NextStep } from './method';
import type { MethodCell, MethodEntry, MethodRun, MethodWorld } from '../../picture';

/** Both stages end so far above the maker's limit, V (default): a cell that is pushed past its end is harmed for good. */
export const BOTTOM_ABOVE_V = 0.2;
/** The second stage is this gentle, 1/h of the capacity (default). */
export const GENTLE_C_RATE = 0.03;
/** Rests after the first and the second stage, h (default): most of the rebound is over in an hour, what is left takes the night. */
export const RESTS_H = { first: 1, second: 12 };
/** After the last rest it lies at the bottom when no more than this is left, share of its capacity (default). */
const AT_BOTTOM = 0.02;
/** They met when no two are further apart, share of the capacity (default). */
const MET = 0.01;
/** A set that was emptied is charged within so many days (default): what is left leaks away, and below the limit it is harmed. */
export const EMPTY_DAYS = 3;
/** Of a cell’s own: surface charge per C-rate (default), what it loses in a night, and doubts as the logarithm of a factor, one sd. */
const SURFACE_KAPPA = 0.03;
const LEAKED = 0.0016;
const DOUBT = { hysteresis: 0.4, resistance: 0.25, surface: 0.5 };
const DRAWS = 600;
const SEED = 20_261_203;

/**
 * What a cell rests at after a discharge that was ended at a voltage under load: the load’s drop and what the surface was short of come back.
 * One drawn world each: curve, resistance, hysteresis, surface charge (models §3).
 * @param currentA out of the cell, positive @returns V, 95 %
 * @throws CoreError `not-positive`, `not-a-number`
 */
export function reboundV(chemistry: Chemistry, capacityAh: number, endV: number, currentA: number): Interval {
	requirePositive(capacityAh, 'capacityAh');
	requireFinite(endV, 'endV');
	requireFinite(currentA, 'currentA');
	const random = seededRandom(SEED);
	const typical = restVoltageCurve(chemistry);
	const rate = Math.abs(currentA) / capacityAh;
	return intervalOf(
		Array.from({ length: DRAWS }, () => {
			const { socOf, voltsAt } = beyondEnds(drawnCurve(typical, random), typical);
			const loopV = HYSTERESIS_V[chemistry] * Math.exp(normalDraw(random, 0, DOUBT.hysteresis));
			const dropV = rate * LOADED_OHM_AH * Math.exp(normalDraw(random, 0, DOUBT.resistance));
			const surface = SURFACE_KAPPA * rate * Math.exp(normalDraw(random, 0, DOUBT.surface));
			const leaked = LEAKED * random();
			// Of the hysteresis most stays; of what the surface was short of all comes back.
			return voltsAt(Math.min(1, socOf(endV + dropV + loopV) + surface - leaked)) - loopV * (1 - 0.3 * random());
		})
	);
}

interface CellWay {
	cell: MethodCell;
	entries: MethodEntry[];
	last: MethodEntry | null;
}

const wayOf = (run: MethodRun, cell: MethodCell): CellWay => {
	const entries = run.entries.filter((e) => e.cellId === cell.id);
	return { cell, entries, last: entries.at(-1) ?? null };
};

/** Charge left in each cell that has had its last rest, and between the fullest and the emptiest of them, Ah. */
function residual(world: MethodWorld, ways: readonly CellWay[]): { left: (Interval | null)[]; apart: Interval | null } {
	const rested = ways.map((w) => (w.last?.step === 'rested-2' ? w.last.voltageV : null));
	const volts = rested.flatMap((v) => (v === null ? [] : [v]));
	const random = seededRandom(SEED + 1);
	const typical = restVoltageCurve(world.chemistry);
	const curves = Array.from({ length: 300 }, () => ({
		curve: drawnCurve(typical, random),
		loopV: HYSTERESIS_V[world.chemistry] * (random() * 2 - 1),
		meterV: normalDraw(random, 0, world.meterSdV)
	}));
	const left = rested.map((v, i) =>
		v === null ? null : intervalOf(curves.map((c) => c.curve.socOf(v + c.loopV + c.meterV) * ways[i]!.cell.capacityAh))
	);
	if (volts.length < 2) return { left, apart: null };
	const groupAh = world.cellAh;
	return { left, apart: snapshotBounds({ ...world, groupVoltagesV: volts, currentA: 0, groupAh }).apartAh };
}

/** What is next for one cell; null: it waits for the load, or is through. */
function nextOf(way: CellWay, world: MethodWorld, loadFree: boolean, loadA: number | null): NextStep | null {
	const { cell, last } = way;
	const toV = (world.dischargeLimitV + BOTTOM_ABOVE_V).toFixed(2);
	const mostV = mostOfOneCellV(world.chemistry);
	const gentleA = (GENTLE_C_RATE * cell.capacityAh).toFixed(1);
	switch (last?.step) {
		case undefined:
			return loadFree
				? step(
						'stage-1',
						`Discharge ${cell.label} to ${toV} V under load${loadA ? ` of ${loadA} A` : ''}, and stay by it. Write down the volts it ended at, and the amperes.`,
						['voltageV', 'currentA'],
						{ cell, also: ['ah'], mostV }
					)
				: null;
		case 'stage-1':
			return step('rested-1', `Let ${cell.label} rest an hour, loose; then read it.`, ['voltageV'], {
				cell,
				mostV,
				from: later(last!.doneAt, RESTS_H.first)
			});
		case 'rested-1':
			return step(
				'stage-2',
				`Discharge ${cell.label} again, with no more than ${gentleA} A, to ${toV} V.`,
				['voltageV', 'currentA'],
				{ cell, also: ['ah'], mostV }
			);
		case 'stage-2':
		case 'again':
			return step('rested-2', `Let ${cell.label} rest the night, loose; then read it.`, ['voltageV'], {
				cell,
				mostV,
				from: later(last!.doneAt, RESTS_H.second)
			});
		default:
			return null;
	}
}

/**
 * Bottom balance: each cell down in two stages with a rest after each, in a fixed order, none twice; then how much is left in each by the
 * steep end of the curve, whether they met, and by when the empty set has to be charged. A cell is never pushed further down after its last
 * rest without a question answered.
 */
export const followBottom: FollowMethod = (run, world) => {
	const ways = run.cells.map((cell) => wayOf(run, cell));
	const { left, apart } = residual(world, ways);
	const through = ways.filter((w) => w.last?.step === 'rested-2');
	const first = ways.findIndex((w) => w.last === null);
	const next = ways.flatMap((w, i) => nextOf(w, world, i === first, run.setup.currentA ?? null) ?? []);
	const deep = ways.filter((w) => isTooDeep(w, world));
	const allRested = through.length === run.cells.length && deep.length === 0;
	const high = ways.flatMap((w, i) => (left[i] && left[i]!.low95 > AT_BOTTOM * w.cell.capacityAh ? [i] : []));
	const isApart = allRested && apart !== null && apart.low95 > MET * world.cellAh;
	const fullest = isApart ? fullestOf(left) : null;
	for (const i of new Set([...high, ...(fullest === null ? [] : [fullest])]))
		next.push(
			step('again', `Take ${ways[i]!.cell.label} down once more, gently, if you mean to.`, ['voltageV', 'currentA'], {
				cell: ways[i]!.cell,
				mostV: mostOfOneCellV(world.chemistry),
				besides: true,
				question: `${ways[i]!.cell.label} has had both stages. Pushing it further is how cells are harmed: do you want to, and will you stay by it?`
			})
		);
	const charged = ofStep(run, 'charge-began')[0] ?? null;
	const watched = ofStep(run, 'first-charge').at(-1) ?? null;
	const firstEmpty =
		ways
			.flatMap((w) => w.entries.filter((e) => e.step === 'stage-2'))
			.map((e) => e.doneAt)
			.sort()[0] ?? null;
	const chargeBy = firstEmpty && !charged ? later(firstEmpty, 24 * EMPTY_DAYS) : null;
	const met = allRested && run.cells.length > 1 && apart !== null && apart.high95 <= MET * world.cellAh;
	if (firstEmpty && !charged && first < 0)
		next.push(
			step(
				'charge-began',
				'Build them in series, or join them, and begin to charge; write down the amperes.',
				['currentA'],
				through.length === run.cells.length
					? {}
					: {
							besides: true,
							question: `Only ${through.length} of ${run.cells.length} lie at the bottom and have rested: charge all the same?`
						}
			)
		);
	if (charged)
		next.push(
			step(
				'first-charge',
				`In the first hours read every cell under charge, in order: ${run.cells.map((c) => c.label).join(', ')}. Stop at the first that reaches ${world.chargeLimitV.toFixed(2)} V.`,
				['volts', 'currentA'],
				{ also: ['ah'], count: run.cells.length, mostV: mostOfOneCellV(world.chemistry) }
			)
		);
	const charging = watched ? firstCharge(run, watched, world) : [];
	const verdicts = [
		...deep.map(({ cell, last }) =>
			say('bottom-too-deep', 'stop', cellSubject(cell), { readV: last!.voltageV!, limitV: world.dischargeLimitV })
		),
		...(charged || through.length === run.cells.length
			? []
			: [
					say('bottom-on-its-way', 'open', world.subject, {
						through: through.length,
						of: run.cells.length,
						resting: ways.filter((w) => /stage|again/.test(w.last?.step ?? '')).length
					})
				]),
		...high.map((i) => say('bottom-high', 'look', cellSubject(ways[i]!.cell), { leftAh: left[i]!, atMost: AT_BOTTOM })),
		...ways.flatMap(tooFast),
		...ways.flatMap((w) => oddRebound(w, world)),
		...(apart !== null && allRested
			? [
					say(
						met ? 'bottom-met' : isApart ? 'bottom-apart' : 'bottom-unsure',
						met ? 'calm' : isApart ? 'look' : 'open',
						world.subject,
						{
							apartAh: apart,
							metShare: MET,
							cells: through.length,
							fullest: fullest === null ? null : ways[fullest]!.cell.label
						}
					)
				]
			: []),
		...(chargeBy ? [say('empty-set', 'look', world.subject, { chargeBy, days: EMPTY_DAYS })] : []),
		...charging
	];
	return {
		verdicts,
		next,
		due: [
			...next
				.filter((n) => n.from !== null && n.cell)
				.map((n) => ({ at: n.from!, what: `${n.cell!.label} has rested`, message: n.does })),
			...(chargeBy
				? [
						{
							at: later(chargeBy, -24),
							what: 'An empty set waits to be charged',
							message:
								'Charge it by tomorrow: what is left leaks away, and below their limit cells are harmed for good.'
						}
					]
				: [])
		],
		// Watched in its first charge, and nothing was found.
		done: met && watched !== null && charging.length === 0,
		locksJoining: false
	};
};

/** The cell that surely holds something and holds most; null where nothing is known. @param left charge by cell, Ah */
function fullestOf(left: readonly (Interval | null)[]): number | null {
	const known = left.flatMap((own, i) => (own ? [{ i, own }] : []));
	return known.length ? known.reduce((a, b) => (b.own.likely > a.own.likely ? b : a)).i : null;
}

/** A display rounds, and a load is set in steps: only a current past this multiple of what was asked is remarked. */
const TOO_FAST = 1.5;

/** The last gentle stage of a cell was not gentle. */
function tooFast({ cell, entries }: CellWay) {
	const asked = GENTLE_C_RATE * cell.capacityAh;
	const last = entries.findLast((e) => e.step === 'stage-2' || e.step === 'again');
	const currentA = Math.abs(last?.currentA ?? 0);
	return currentA > TOO_FAST * asked
		? [say('bottom-too-fast', 'look', cellSubject(cell), { currentA, askedA: asked, rate: GENTLE_C_RATE })]
		: [];
}

/** What it read last is below the limit, by more than the meter: no rest brings that back, and no spread of charge shows it. */
const isTooDeep = ({ last }: CellWay, { dischargeLimitV, meterSdV }: MethodWorld): boolean =>
	last?.voltageV != null && last.voltageV < dischargeLimitV - 2 * meterSdV;

/** A cell that came back further, or less far, than such cells do: a lead that dropped volts, a rest cut short, a leak. */
function oddRebound({ cell, entries }: CellWay, { chemistry, meterSdV }: MethodWorld) {
	const rest = entries.findLast((e) => e.step === 'rested-2');
	const end = rest && entries.filter((e) => e.step === 'stage-2' || e.step === 'again').at(-1);
	if (!rest || !end || rest.voltageV === null || end.voltageV === null || end.currentA === null) return [];
	const expectedV = reboundV(chemistry, cell.capacityAh, end.voltageV, end.currentA);
	const slack = 2 * meterSdV;
	if (rest.voltageV >= expectedV.low95 - slack && rest.voltageV <= expectedV.high95 + slack) return [];
	return [say('bottom-odd-rebound', 'look', cellSubject(cell), { restedV: rest.voltageV, expectedV })];
}

/** Cells watched in the first charge: one that runs ahead or stays behind was not at the bottom with the others. */
function firstCharge(run: MethodRun, { volts, currentA }: MethodEntry, world: MethodWorld) {
	if (!volts || volts.length < 2) return [];
	const over = volts.findIndex((v) => v > world.chargeLimitV);
	if (over >= 0)
		return [
			say('first-charge-over', 'stop', world.subject, {
				place: over + 1,
				volts: volts[over]!,
				limitV: world.chargeLimitV
			})
		];
	const apartAh = snapshotBounds({ ...world, groupVoltagesV: volts, currentA: currentA ?? 0 }).apartAh;
	return apartAh.low95 > MET * world.groupAh
		? [say('first-charge-apart', 'look', world.subject, { apartAh, metShare: MET, cells: run.cells.length })]
		: [];
}
