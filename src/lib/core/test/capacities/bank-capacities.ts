import {
	contradict,
	evidenceOfEarlierLots,
	slippedResult,
	judgeCapacity,
	type CapacityBound,
	type CapacityJudgement,
	type LotEvidence,
	type RefusedRun
} from '../capacity';
import { jointCapacities, type JointCapacity, type StandardRun, type TestersApart } from '../testers';
import { bindingClause } from '../clauses';
import {
	oncePerPicture,
	ownTypeOf,
	type ClauseKind,
	type BankPicture,
	type PictureCell,
	type PictureDelivery,
	type PictureRun
} from '../../picture';
import { standardRuns, type BroughtToStandard, type RunCorrection } from './standard-runs';

export interface CellCapacity {
	cell: PictureCell;
	/** The run its figure is of; its latest where none gave one. */
	run: PictureRun | null;
	/** Capacity brought to standard conditions, Ah, with its doubt; null when not tested or the correction is refused. */
	capacityAh: number | null;
	sdAh: number | null;
	/** Why there is no capacity although there is a run. */
	refused: RefusedRun | null;
	/** How its latest run was brought to standard conditions; null where there is none. */
	correction: RunCorrection | null;
	judgement: CapacityJudgement | null;
}

/** A capacity a cell was sold with. */
export interface Promised {
	capacityAh: number;
	clause: ClauseKind | null;
}

/** What a cell is held against: what its delivery was promised, else the least its maker promises, else its rating. */
export function promisedTo(cell: PictureCell, { deliveries, clauses, cellType }: BankPicture): Promised | null {
	const delivery = deliveries.find((d) => d.id === cell.deliveryId);
	if (delivery?.promisedAh) return { capacityAh: delivery.promisedAh, clause: delivery.promisedClause };
	if (delivery?.ownType) return { capacityAh: delivery.ownType.ratedAh, clause: null };
	const clause = clauses.find((c) => c.kind === delivery?.promisedClause) ?? bindingClause(clauses);
	if (clause) return { capacityAh: clause.capacityAh, clause: clause.kind };
	return cellType && { capacityAh: cellType.ratedAh, clause: null };
}

/** What the runs say before they are corrected: under conditions gentler or harsher than the clause's that bounds it from one side. */
function bound(
	{ capacityAh, sdAh }: JointCapacity,
	side: BroughtToStandard['side'],
	correction: RunCorrection | null,
	sharedSd: number
): CapacityBound | null {
	if (side === null || !correction) return null;
	const asRun = 1 / (1 + correction.fraction);
	const own = Math.sqrt(Math.max(0, (sdAh / capacityAh) ** 2 - sharedSd ** 2));
	return { side, capacityAh: capacityAh * asRun, sdAh: capacityAh * asRun * own };
}

function capacityOf(
	cell: PictureCell,
	wanted: Promised | null,
	joint: JointCapacity | null,
	{ refused, used, correction, side, standard }: BroughtToStandard,
	lots: LotEvidence | null
): CellCapacity {
	const sharedSd = Math.max(0, ...standard.map((r) => r.sharedSd ?? 0));
	// The figure and its date are of one run: a later one that gave none is told as refused.
	const run = used ?? cell.runs.at(-1) ?? null;
	if (!joint) return { cell, run, capacityAh: null, sdAh: null, refused, correction: null, judgement: null };
	const { capacityAh, sdAh, testersApartAh } = joint;
	const judgement = wanted
		? judgeCapacity(
				cell,
				capacityAh,
				sdAh,
				wanted.capacityAh,
				testersApartAh,
				correction,
				wanted.clause,
				bound(joint, side, correction, sharedSd),
				joint.testers === 1 ? lots : null
			)
		: null;
	return { cell, run, capacityAh, sdAh, refused: null, correction, judgement };
}

/** The capacity each cell in play is believed to have: all its runs of a year, corrected, testers compared. Tray order. */
export const bankCapacities = (picture: BankPicture): CellCapacity[] => bankTesting(picture).capacities;

/** Runs that exclude each other, and a single one that can only be a slip, give no capacity: they are named and asked about. */
function onlyBelievable(brought: BroughtToStandard, cell: PictureCell, picture: BankPicture): BroughtToStandard {
	const { standard } = brought;
	const none = (refused: RefusedRun): BroughtToStandard => ({
		...brought,
		standard: [],
		used: null,
		correction: null,
		refused
	});
	if (contradict(standard)) return none({ why: 'contradict', runsAh: standard.map((r) => r.capacityAh) });
	const [only] = standard;
	const slipped = standard.length === 1 ? slippedResult(only!.capacityAh, ratedOf(cell, picture)) : null;
	return slipped ? none({ why: 'slipped', ...slipped, capacityAh: brought.used!.capacityAh }) : brought;
}

/** What a cell is rated: by its delivery, else by its type; null where nobody said. */
export const ratedOf = (cell: PictureCell, picture: BankPicture): number | null =>
	ownTypeOf(picture, cell)?.ratedAh ?? promisedTo(cell, picture)?.capacityAh ?? null;

/** What earlier lots of this bank's cell type tell of the tester of a lot; null where the lot was run on several, or is of another type. */
function evidenceFor(
	{ id: deliveryId, ownType, used }: PictureDelivery,
	own: readonly { cell: PictureCell; brought: BroughtToStandard }[],
	{ earlierLots = [] }: BankPicture
): LotEvidence | null {
	// Used cells have aged, each in its own way: no lot of new ones tells of them.
	if (earlierLots.length === 0 || ownType || used) return null;
	const runs = own.flatMap(({ cell, brought }) => (cell.deliveryId === deliveryId ? brought.standard : []));
	const [first] = runs;
	if (!first || runs.some((r) => r.tester !== first.tester)) return null;
	return evidenceOfEarlierLots({ tester: first.tester, capacitiesAh: runs.map((r) => r.capacityAh) }, earlierLots);
}

export const bankTesting = oncePerPicture(
	(picture): { capacities: CellCapacity[]; apart: TestersApart | null; standard: StandardRun[] } => {
		const own = picture.cells.map((cell) => ({
			cell,
			brought: onlyBelievable(standardRuns(cell, picture), cell, picture)
		}));
		const standard = own.flatMap((c) => c.brought.standard);
		const { byCell, apart } = jointCapacities(standard);
		const evidence = new Map(picture.deliveries.map((d) => [d.id, evidenceFor(d, own, picture)]));
		const capacities = own.map(({ cell, brought }) =>
			capacityOf(
				cell,
				promisedTo(cell, picture),
				byCell.get(cell.id) ?? null,
				brought,
				evidence.get(cell.deliveryId) ?? null
			)
		);
		return { capacities, apart, standard };
	}
);
