import { PASS_FROM } from '../verdicts';
import { CoreError, requireFinite, requirePositive } from '../../foundation/errors';
import { expectedV, fitWiring, staircaseOf, type CellsKnown, type WiringFit } from './lead-likelihood';
import { leadWords } from './lead-words';
import { leadWirings, pairWirings, type LeadCode, type LeadWiring } from './lead-wirings';

export interface BalanceLeadsInput {
	/** Cells in series, from 1. */
	series: number;
	/** What each cell reads by itself, or the range all of them lie in, V. */
	cells: CellsKnown;
	/** Each lead against battery negative, V: leads 0 … S, or 1 … S where lead 0 is battery negative itself. `null`: not read. */
	readingsV: readonly (number | null)[];
	/** Leads that were also read against battery positive, lead 0 first, V; null where not. */
	positiveV?: readonly (number | null)[];
	/** Of the meter, one standard deviation, V. */
	meterSdV?: number;
}

export interface LeadExplanation {
	code: LeadCode;
	/** Leads it is about, from 0; empty where it is about all of them, or none. */
	leads: number[];
	probability: number;
	text: string;
	/** Node that each lead sits on by it, lead 0 first; null: on none. */
	nodeOf: (number | null)[];
}

export interface NextReading {
	lead: number;
	/** Where the other probe goes. */
	against: 'negative' | 'positive';
	expect: { code: LeadCode; voltageV: number }[];
}

export interface LeadsJudgement {
	/** Most probable first; their probabilities sum to 1. */
	explanations: LeadExplanation[];
	/** The reading that tells the first ones apart; null when none would, or nothing is left to ask. */
	next: NextReading | null;
	/** Right is the clear winner, every lead was read, and one of them against battery positive as well. */
	pass: boolean;
	/** Leads nobody has read. */
	unread: number[];
	/** Readings that no single fault explains: more than one thing may be wrong, or a reading is. */
	unexplained: number;
}

/** A meter nobody described, one standard deviation, V (default). */
export const USUAL_METER_SD_V = 0.002;
/** Explanations below this go into the likeliest of their kind. */
const WORTH_NAMING = 0.005;
/** Most explanations that are weighed when the next reading is chosen. */
const WEIGHED = 8;
/** So many that explain most by themselves are tried two and two: each of two true faults explains its own readings, and stands among them. */
const FIRST_OF_PAIRS = 60;
/** Two expectations are apart by this share of a cell's voltage (half-cell tolerance). */
const HALF = 0.5;
const MAX_SERIES = 128;

interface Weighed {
	wiring: LeadWiring;
	fit: WiringFit;
	probability: number;
}

/**
 * Which way the balance leads most probably sit: every single fault there is (models, balance leads), and where none explains all
 * readings every two of them, weighed by how well they explain the readings and how common they
 * are. The leads' resistance is not seen: a meter of 10 MΩ reads through a bad crimp.
 * @throws CoreError `layout`, `readings-count`, `not-a-number`, `not-positive`, `cells-count`, `cell-range`
 */
export function judgeBalanceLeads(input: BalanceLeadsInput): LeadsJudgement {
	const { series, cells, meterSdV = USUAL_METER_SD_V } = input;
	check(input);
	const withoutZero = input.readingsV.length === series;
	const readingsV = withoutZero ? [null, ...input.readingsV] : input.readingsV;
	const staircase = staircaseOf(series, cells, meterSdV);
	// Where lead 0 is the point everything is measured from, it cannot be wrong alone.
	const wirings = leadWirings(series).filter((w) => !withoutZero || !(w.leads.length === 1 && w.leads[0] === 0));
	const fitted = (list: readonly LeadWiring[]) =>
		list.map((wiring) => ({ wiring, fit: fitWiring(wiring, staircase, readingsV, input.positiveV) }));
	const single = probabilities(fitted(wirings));
	// What one fault leaves unexplained, two may explain.
	const first = single.slice(0, FIRST_OF_PAIRS).map((w) => w.wiring);
	const weighed = single[0]!.fit.slips === 0 ? single : probabilities([...single, ...fitted(pairWirings(first))]);
	const explanations = named(weighed);
	const unread = readingsV.flatMap((v, lead) => (v === null && !(withoutZero && lead === 0) ? [lead] : []));
	const unexplained = weighed[0]!.fit.slips;
	const [{ code, probability }] = explanations as [LeadExplanation];
	// A reading that fits nothing is no reason to plug in, however sure "right" is beside the other explanations.
	const settled = code === 'right' && probability >= PASS_FROM && unread.length === 0 && unexplained === 0;
	// Lead 0 open reads 0 V like a sound one: one reading against battery positive proves it (models §11).
	const proved = input.positiveV?.some((v) => v !== null) ?? false;
	const pass = settled && proved;
	return {
		explanations,
		next: pass
			? null
			: settled
				? leadZero(weighed[0]!)
				: nextReading(weighed.slice(0, WEIGHED), unread, readingsV, input.positiveV ?? []),
		pass,
		unread,
		unexplained
	};
}

/** Lead 0 against battery positive: minus the whole battery where it sits, nothing where it touches no node. */
function leadZero({ fit }: Weighed): NextReading {
	const fullV = fit.nodeV[fit.nodeV.length - 1]!;
	return {
		lead: 0,
		against: 'positive' as const,
		expect: [
			{ code: 'right', voltageV: Number((-fullV).toFixed(3)) },
			{ code: 'open', voltageV: 0 }
		]
	};
}

function check({ series, cells, readingsV, positiveV, meterSdV }: BalanceLeadsInput): void {
	if (!Number.isInteger(series) || series < 1 || series > MAX_SERIES)
		throw new CoreError('layout', 'series', `series requires a whole number from 1 to ${MAX_SERIES}, got ${series}`);
	if (readingsV.length !== series && readingsV.length !== series + 1)
		throw new CoreError(
			'readings-count',
			'readingsV',
			`readingsV requires ${series + 1} values (leads 0 to ${series}) or ${series} (leads 1 to ${series}), null where not read; got ${readingsV.length}`
		);
	readingsV.forEach((v, i) => v !== null && requireFinite(v, `readingsV.${i}`));
	if (positiveV && positiveV.length !== series + 1)
		throw new CoreError(
			'readings-count',
			'positiveV',
			`positiveV requires ${series + 1} values, leads 0 to ${series}, null where not read; got ${positiveV.length}`
		);
	positiveV?.forEach((v, i) => v !== null && requireFinite(v, `positiveV.${i}`));
	if (meterSdV !== undefined) requirePositive(meterSdV, 'meterSdV');
	if ('cellsV' in cells) {
		if (cells.cellsV.length !== series)
			throw new CoreError('cells-count', 'cellsV', `cellsV requires ${series} values, got ${cells.cellsV.length}`);
		cells.cellsV.forEach((v, i) => requirePositive(v, `cellsV.${i}`));
		return;
	}
	requirePositive(cells.low, 'cellV.low');
	if (!(requireFinite(cells.high, 'cellV.high') >= cells.low))
		throw new CoreError('cell-range', 'cellV.high', `cellV.high requires at least cellV.low, ${cells.low} V`);
}

function probabilities(fits: readonly Omit<Weighed, 'probability'>[]): Weighed[] {
	const logs = fits.map(({ wiring, fit }) => Math.log(wiring.prior) + fit.logLikelihood);
	const most = Math.max(...logs);
	const weights = logs.map((log) => Math.exp(log - most));
	const sum = weights.reduce((a, b) => a + b, 0);
	return fits.map((f, i) => ({ ...f, probability: weights[i]! / sum })).sort((a, b) => b.probability - a.probability);
}

/** Those worth naming; the rest of each kind is counted with the likeliest of its kind. */
function named(weighed: readonly Weighed[]): LeadExplanation[] {
	const shown: (LeadExplanation & { others: number; parts: LeadWiring['parts'] })[] = [];
	for (const { wiring, probability } of weighed) {
		const alike = shown.filter((e) => e.code === wiring.code);
		const same = alike.find((e) => e.leads.join() === wiring.leads.join());
		if (same) same.probability += probability;
		else if (alike[0] && probability < WORTH_NAMING) {
			alike[0].probability += probability;
			alike[0].others++;
		} else
			shown.push({
				code: wiring.code,
				leads: [...wiring.leads],
				probability,
				text: '',
				nodeOf: wiring.nodeOf.map((node) => (node < 0 ? null : node)),
				others: 0,
				parts: wiring.parts
			});
	}
	return shown
		.sort((a, b) => b.probability - a.probability)
		.map(({ others, parts, ...e }) => ({
			...e,
			text: leadWords(e.code, e.leads, others > 0 && e.probability < HALF, parts)
		}));
}

/** The reading whose expectations differ most between explanations, weighed by how probable both are; one not made yet goes first. */
function nextReading(
	weighed: readonly Weighed[],
	unread: readonly number[],
	readingsV: readonly (number | null)[],
	positiveV: readonly (number | null)[]
): NextReading | null {
	const cellV = Math.abs(weighed[0]!.fit.nodeV[readingsV.length - 1]!) / (readingsV.length - 1);
	const candidates = readingsV.flatMap((_, lead) => [
		...(unread.includes(lead) ? [{ lead, against: 'negative' as const }] : []),
		...((positiveV[lead] ?? null) === null ? [{ lead, against: 'positive' as const }] : [])
	]);
	if (candidates.length === 0) return null;
	const scored = candidates.map(({ lead, against }) => {
		const volts = weighed.map(({ wiring, fit }) => expectedV(wiring, fit.nodeV, lead, against));
		let apart = 0;
		weighed.forEach((a, i) =>
			weighed.slice(i + 1).forEach((b, k) => {
				if (Math.abs(volts[i]! - volts[i + 1 + k]!) > HALF * cellV) apart += a.probability * b.probability;
			})
		);
		return { lead, against, volts, apart };
	});
	const best = scored.reduce((a, b) => (b.apart > a.apart * (1 + 1e-9) ? b : a));
	const chosen = best.apart > 1e-4 ? best : scored.find((s) => s.lead === unread[0]);
	if (!chosen) return null;
	const expect: NextReading['expect'] = [];
	weighed.forEach(({ wiring: { code } }, i) => {
		const voltageV = Number(chosen.volts[i]!.toFixed(3));
		const same = expect.some((e) => e.code === code && Math.abs(e.voltageV - voltageV) < HALF * cellV);
		if (!same) expect.push({ code, voltageV });
	});
	return { lead: chosen.lead, against: chosen.against, expect };
}
