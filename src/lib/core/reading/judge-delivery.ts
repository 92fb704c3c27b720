import { CHEMISTRY_FIGURES, mostOfOneCellV, socBounds, type Chemistry, type SocBounds } from '../chemistry';
import { median, type Verdict } from '../shared';
import { MIN_FOR_SPREAD, ROBUST_Z_LIMIT, findOutliers, type OutlierFinding } from './outlier';
import { QUANTITY_FIGURES } from './quantity';

export interface ArrivedCell {
	id: number;
	label: string;
	restVoltageV: number | null;
	acResistanceMohm: number | null;
	/** One standard deviation of each reading by the meter it was taken with; null where there is none. */
	restVoltageSdV: number | null;
	acResistanceSdMohm: number | null;
}

type WithVoltage = ArrivedCell & { restVoltageV: number; restVoltageSdV: number };

export interface DeliveryContext {
	chemistry: Chemistry;
	/** Seconds of rest before the voltages were read; a delivery has usually rested for days. */
	restS: number;
	/** The maker's figure, mΩ; null when not given. */
	ratedResistanceMohm: number | null;
}

export interface DeliveryJudgement {
	verdicts: Verdict[];
	/** Arrival state of charge per cell id, for the cells that have a rest voltage. */
	socByCell: Record<number, SocBounds>;
}

const percent = (fraction: number) => Math.round(fraction * 100);

/**
 * The verdicts on a delivery and its cells: what is missing, who stands apart and by which rule, what charge they
 * arrived with. Models: outlier rule of {@link findOutliers}, bounds of `socBounds`. Cells without a reading take no
 * part in that quantity. An empty delivery gives one verdict that says so.
 */
export function judgeDelivery(cells: readonly ArrivedCell[], context: DeliveryContext): DeliveryJudgement {
	if (cells.length === 0) return { verdicts: [missingVerdict([], 0)], socByCell: {} };
	const read = cells.filter((c): c is WithVoltage => c.restVoltageV !== null && c.restVoltageSdV !== null);
	// A cell that reads negative stands the wrong way round; its charge is told by the size of the reading.
	const withVoltage = read.map((c) => ({ ...c, restVoltageV: Math.abs(c.restVoltageV) }));
	const socByCell = Object.fromEntries(
		withVoltage.map((c) => [c.id, socBounds(context.chemistry, c.restVoltageV, c.restVoltageSdV, context.restS)])
	);
	// A cell outside its limits has its own verdict; among the others it would only blur the comparison.
	const { dischargeLimitV, plausibleRestV } = CHEMISTRY_FIGURES[context.chemistry];
	const comparable = withVoltage.filter(
		(c) => c.restVoltageV >= dischargeLimitV && c.restVoltageV <= plausibleRestV[1]
	);
	const unread = cells.filter((c) => c.restVoltageV === null || c.acResistanceMohm === null);
	const verdicts = [
		...polarityVerdicts(read),
		...deepVerdicts(withVoltage, context),
		...highVerdicts(withVoltage, context),
		...voltageVerdicts(comparable, context, socByCell),
		...resistanceVerdicts(cells, context),
		...(unread.length ? [missingVerdict(unread, cells.length)] : []),
		...chargeVerdict(comparable, socByCell)
	];
	return { verdicts, socByCell };
}

function missingVerdict(unread: readonly ArrivedCell[], total: number): Verdict {
	const noVoltage = unread.filter((c) => c.restVoltageV === null).length;
	return {
		code: 'not-read',
		warmth: 'open',
		title: total === 0 ? 'No cells yet' : `${unread.length} of ${total} cells not fully read`,
		finding:
			total === 0
				? 'Unpack a delivery first.'
				: `${noVoltage} without a rest voltage, ${unread.filter((c) => c.acResistanceMohm === null).length} without a resistance.`,
		doubt: null,
		rule: 'Every cell is read before any are joined in parallel.',
		next: total === 0 ? 'Add a delivery with its number of cells.' : `Read ${unread[0].label} next.`,
		cellIds: unread.map((c) => c.id)
	};
}

function polarityVerdicts(cells: readonly WithVoltage[]): Verdict[] {
	return cells
		.filter((c) => c.restVoltageV < 0)
		.map((c) => ({
			code: 'polarity',
			warmth: 'look',
			title: `${c.label} reads negative: its plus is not where it is printed`,
			finding: `${c.restVoltageV.toFixed(3)} V with the red probe on the printed plus.`,
			doubt: 'Exchanged probes would do the same to every cell you read with them.',
			rule: 'Polarity goes by the meter, not by the print: built in by its print such a cell is a short circuit.',
			next: 'Check the probes, read it again, and mark the true plus on the cell before anything is joined.',
			cellIds: [c.id]
		}));
}

function deepVerdicts(cells: readonly WithVoltage[], context: DeliveryContext): Verdict[] {
	const limitV = CHEMISTRY_FIGURES[context.chemistry].dischargeLimitV;
	return cells
		.filter((c) => c.restVoltageV < limitV)
		.map((c) => ({
			code: 'deep-discharged',
			warmth: 'stop',
			title: `${c.label} arrived below ${limitV.toFixed(2)} V`,
			finding: `It rests at ${c.restVoltageV.toFixed(3)} V, under the discharge limit of a ${context.chemistry} cell.`,
			doubt: `Meter doubt ± ${(1000 * c.restVoltageSdV).toFixed(1)} mV cannot explain it.`,
			rule: 'Rest voltage below the discharge limit: copper may have dissolved; a strong charge can make it dangerous.',
			next: 'Set it apart, tell the supplier, and do not charge it before the cell maker says how.',
			cellIds: [c.id]
		}));
}

/** A cell that rests above all a cell of its kind can: overcharged, or no reading of one cell at all. */
function highVerdicts(cells: readonly WithVoltage[], { chemistry }: DeliveryContext): Verdict[] {
	const limitV = CHEMISTRY_FIGURES[chemistry].plausibleRestV[1];
	return cells
		.filter((c) => c.restVoltageV > limitV)
		.map((c): Verdict =>
			c.restVoltageV > mostOfOneCellV(chemistry)
				? {
						code: 'not-one-cell',
						warmth: 'look',
						title: `${c.label} cannot rest at ${c.restVoltageV.toFixed(3)} V`,
						finding: `That is more than any one ${chemistry} cell can have.`,
						doubt: 'A slipped decimal, or probes across more than one cell.',
						rule: `Above ${mostOfOneCellV(chemistry).toFixed(2)} V it is no reading of one ${chemistry} cell. It is left out of the comparison.`,
						next: `Read ${c.label} again, both probes on its own terminals, and type it over this one.`,
						cellIds: [c.id]
					}
				: {
						code: 'overcharged',
						warmth: 'stop',
						title: `${c.label} rests above ${limitV.toFixed(2)} V`,
						finding: `It rests at ${c.restVoltageV.toFixed(3)} V, more than a full ${chemistry} cell does.`,
						doubt: `Meter doubt ± ${(1000 * c.restVoltageSdV).toFixed(1)} mV. A cell just off its charger falls below within the hour.`,
						rule: 'Rest voltage above the charge limit: an overcharged cell can swell, vent or burn.',
						next: 'Do not charge it. Set it apart on stone, away from the others, read it again in an hour, and ask its maker if it stays.',
						cellIds: [c.id]
					}
		);
}

function ruleText(finding: OutlierFinding, floorText: string): string {
	return finding.robustZ === null
		? `Fewer than ${MIN_FOR_SPREAD} cells read, so only the ${floorText} floor is used.`
		: `Robust z ${Number.isFinite(finding.robustZ) ? finding.robustZ.toFixed(1) : 'beyond measure'} (limit ${ROBUST_Z_LIMIT}) and past the ${floorText} floor.`;
}

function voltageVerdicts(
	cells: readonly WithVoltage[],
	context: DeliveryContext,
	soc: Record<number, SocBounds>
): Verdict[] {
	const { floor } = QUANTITY_FIGURES.restVoltage;
	const sdV = median(cells.map((c) => c.restVoltageSdV)) ?? 0;
	return findOutliers(
		cells.map((c) => c.restVoltageV),
		floor,
		sdV
	)
		.filter((f) => f.outlier)
		.map((f) => {
			const cell = cells[f.index];
			const millivolts = Math.round(Math.abs(f.differenceFromMedian) * 1000);
			const bounds = soc[cell.id];
			return {
				code: 'voltage-outlier',
				warmth: 'look',
				title: `${cell.label} rests ${millivolts} mV ${f.differenceFromMedian < 0 ? 'below' : 'above'} the rest`,
				finding: `${cell.restVoltageV.toFixed(3)} V fits a charge of ${percent(bounds.lowFraction)} to ${percent(bounds.highFraction)} %; the middle of the others is ${(cell.restVoltageV - f.differenceFromMedian).toFixed(3)} V.`,
				doubt: `Two readings of this meter differ by up to ${(1000 * 1.96 * Math.SQRT2 * sdV).toFixed(1)} mV by themselves; this is more. Leakage or a different charge at the factory: one reading cannot tell.`,
				rule: ruleText(f, '8 mV'),
				next: `Read ${cell.label} again tomorrow, same meter, and compare.`,
				cellIds: [cell.id]
			};
		});
}

function resistanceVerdicts(all: readonly ArrivedCell[], context: DeliveryContext): Verdict[] {
	const cells = all.filter((c): c is ArrivedCell & { acResistanceMohm: number } => c.acResistanceMohm !== null);
	const centre = median(cells.map((c) => c.acResistanceMohm));
	if (centre === null) return [];
	const sd = median(cells.flatMap((c) => c.acResistanceSdMohm ?? [])) ?? 0;
	const findings = findOutliers(
		cells.map((c) => c.acResistanceMohm),
		QUANTITY_FIGURES.acResistance.floor,
		sd
	);
	const outliers: Verdict[] = findings
		.filter((f) => f.outlier)
		.map((f) => ({
			code: 'resistance-outlier',
			warmth: 'look',
			title: `${cells[f.index].label} reads ${percent(Math.abs(f.differenceFromMedian) / centre)} % ${f.differenceFromMedian > 0 ? 'more' : 'less'} resistance`,
			finding: `${cells[f.index].acResistanceMohm.toFixed(3)} mΩ against ${centre.toFixed(3)} mΩ in the middle.`,
			doubt: `Meter doubt ± ${sd.toFixed(3)} mΩ. Probe placement, a two-wire reading or a colder cell come before the cell itself.`,
			rule: ruleText(f, '8 %'),
			next: `Clean the terminals and read ${cells[f.index].label} again with four wires, probes where they were on the others.`,
			cellIds: [cells[f.index].id]
		}));
	return outliers.length || cells.length < 2 ? outliers : [resistanceAgrees(cells, centre, sd, context)];
}

function resistanceAgrees(
	cells: readonly { id: number }[],
	centre: number,
	sd: number,
	context: DeliveryContext
): Verdict {
	const promised = context.ratedResistanceMohm;
	return {
		code: 'resistance-agrees',
		warmth: 'calm',
		title: `Resistance agrees on ${cells.length} cells`,
		finding: `Middle ${centre.toFixed(3)} mΩ${promised === null ? '' : `; the maker says ${promised.toFixed(3)} mΩ`}.`,
		doubt: `± ${sd.toFixed(3)} mΩ a reading. Comparable only at like temperature and charge.`,
		rule: `No cell past robust z ${ROBUST_Z_LIMIT} and the 8 % floor.`,
		next: null,
		cellIds: []
	};
}

function chargeVerdict(cells: readonly WithVoltage[], soc: Record<number, SocBounds>): Verdict[] {
	const bounds = cells.map((c) => soc[c.id]);
	if (bounds.length === 0) return [];
	const low = Math.min(...bounds.map((b) => b.lowFraction));
	const high = Math.max(...bounds.map((b) => b.highFraction));
	const wide = bounds.filter((b) => b.verdict === 'wide').length;
	return [
		{
			code: wide ? 'charge-unknown' : 'charge-known',
			warmth: 'calm',
			title: wide ? 'Charge on arrival: cannot tell closely' : 'Charge on arrival is known',
			finding: `The rest voltages fit ${percent(low)} to ${percent(high)} %${wide ? `; ${wide} of ${cells.length} sit on the plateau` : ''}.`,
			doubt: `Bounds include meter doubt, ± ${(bounds[0].parts.hysteresisV * 1000).toFixed(0)} mV hysteresis and the rest time.`,
			rule: 'Inverse of the rest-voltage curve as an interval, never a point.',
			next: wide ? 'Nothing to do: the balance charge will show it.' : null,
			cellIds: []
		}
	];
}
