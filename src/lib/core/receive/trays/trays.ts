import { group, rollup } from 'd3-array';
import type { Chemistry, SocBounds } from '../../foundation/chemistry';
import { claimOf, claimUntilOf, judgeClaim, type ClaimTerms, type ClaimedCell, type ClaimedDefect } from '../claim';
import {
	capacityNear,
	cellsInModules,
	oncePerPicture,
	deliverySubject,
	isInService,
	typeFigures,
	type RestRead,
	type BankPicture,
	type PictureCell,
	type PictureCellType,
	type PictureDelivery
} from '../../picture';
import { judgeCodes, readCellCode } from '../identity';
import { judgeInspections, judgePromisedTerminals } from '../inspection';
import { judgeTypeFigures, type Quantity, type SeenOfType } from '../../foundation/reading';
import { judgeBodies, judgeDelivery } from '../arrival';
import { judgeStorageTest } from '../storage';
import { cellSubject, cellsOf, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';
import { arrivedCells } from './arrived';
import { moduleVerdicts } from '../modules';
import { bankCapacities, promisedTo } from '../../test/capacities';

/** A delivery as it lies on its tray. */
export interface DeliveryTray {
	delivery: PictureDelivery;
	cells: readonly PictureCell[];
}

/** The same with what is thought of it. */
export interface JudgedTray extends DeliveryTray {
	verdicts: Verdict[];
	/** Arrival state of charge per cell id, for the cells that have a rest voltage. */
	socByCell: Record<number, SocBounds>;
	/** Rest voltage per cell id with nothing done to the cell before, signs as a cell has them. */
	restByCell: ReadonlyMap<number, RestRead>;
}

/** Each delivery with cells in play as a tray, oldest first. */
export function deliveryTrays({ deliveries, cells }: BankPicture): DeliveryTray[] {
	const byDelivery = group(cells, (c) => c.deliveryId);
	return deliveries.map((delivery) => ({ delivery, cells: byDelivery.get(delivery.id) ?? [] }));
}

/** Each tray of {@link deliveryTrays}, judged. */
export const judgedTrays = oncePerPicture((picture): JudgedTray[] =>
	deliveryTrays(picture).map((tray) => ({
		...tray,
		...judgeTray(picture, tray, deliverySubject(tray.delivery))
	}))
);

/** Cells that must not be used, and why: titles of what stops them. */
export const stoppedCells = oncePerPicture((picture): ReadonlyMap<number, string[]> => {
	// A cell that stands the other way round is sound: it is a stop until somebody has recorded so, and has checks of its own.
	const stops = judgedTrays(picture).flatMap((t) =>
		t.verdicts.filter((v) => v.warmth === 'stop' && v.code !== 'polarity')
	);
	return rollup(
		stops.flatMap((v) => cellsOf(v).map((id) => ({ id, title: v.title }))),
		(own) => own.map((s) => s.title),
		(s) => s.id
	);
});

function judgeTray(picture: BankPicture, { delivery, cells: all }: DeliveryTray, subject: Subject) {
	// Nobody reaches the terminals of a cell in a module; one that was read through its taps is judged as any other.
	const inModules = cellsInModules(picture);
	const cells = all.filter((c) => !inModules.has(c.id) || c.readings.restVoltage || c.inspection);
	const { bank } = picture;
	const cellType = delivery.ownType ?? picture.cellType;
	const { cells: arrived, restS, arrivalRestS, differencesV, restByCell } = arrivedCells(picture, cells);
	const of = (cell: PictureCell, quantity: Quantity) => cell.readings[quantity]?.value ?? null;
	const bodies = cells.map((cell) => ({
		id: cell.id,
		label: cell.label,
		massKg: of(cell, 'mass'),
		temperatureC: of(cell, 'temperature'),
		massSdKg: cell.readings.mass?.sd ?? null,
		thicknessMm: of(cell, 'thickness'),
		thicknessSdMm: cell.readings.thickness?.sd ?? null
	}));
	const judged = judgeReachable(
		all.length > cells.length,
		arrived,
		{
			chemistry: bank.chemistry,
			restS,
			arrivalRestS,
			chemistryKnown: cells.some(({ code }) => code && readCellCode(code).chemistry === bank.chemistry),
			ratedResistanceMohm: delivery.promisedResistanceMohm ?? cellType?.acResistanceMohm ?? null,
			promisedResistanceMohm: delivery.promisedResistanceMohm
		},
		subject
	);
	const codes = { chemistry: bank.chemistry, receivedOn: delivery.receivedOn };
	const seen = [
		...(differencesV ? [say('arrival-cumulative', 'look', subject, { differencesV }, cells.map(cellSubject))] : []),
		...judgeInspections(
			cells.map((cell) => ({ ...cell, atWork: isInService(picture) && cell.groupId !== null })),
			cellType?.thicknessMm ?? null,
			subject
		),
		...judgePromisedTerminals(cells, delivery.promisedTerminals, subject),
		...(cellType ? typeVerdicts(bank.chemistry, cellType, cells, subject) : []),
		...judgeBodies(bodies, cellType?.massKg ?? null, subject),
		...judgeCodes(
			cells.map((c) => ({ ...c, twins: c.codeTwins })),
			{ ...codes, promisedProducedOn: delivery.promisedProducedOn },
			subject
		),
		...cells.flatMap((cell) => judgeStorageTest(cell, capacityNear(picture, cell))),
		...moduleVerdicts(picture, delivery),
		...(delivery.used ? [usedVerdict(cells, subject)] : [])
	];
	return { ...judged, restByCell, verdicts: [...judged.verdicts, ...seen] };
}

/** As {@link judgeDelivery}; where every cell is still in a module there is nothing to read, and nothing is asked. */
const judgeReachable = (inModules: boolean, ...asked: Parameters<typeof judgeDelivery>) =>
	inModules && asked[0].length === 0 ? { verdicts: [], socByCell: {} } : judgeDelivery(...asked);

function usedVerdict(cells: readonly PictureCell[], subject: Subject): Verdict {
	const untested = cells.filter((c) => c.runs.length === 0);
	const facts = { cells: cells.length, untested: untested.length };
	return say('used-cells', untested.length ? 'open' : 'calm', subject, facts, untested.map(cellSubject));
}

/** Readings that may be held against the type's own: two-wire ones hold the leads. */
const seenOf = (cells: readonly PictureCell[]): SeenOfType[] =>
	cells.map(({ readings: { acResistance, mass } }) => ({
		acResistanceMohm: acResistance && acResistance.probe !== 'two-wire' ? acResistance.value : null,
		massKg: mass?.value ?? null
	}));

/** Before a resistance is read, Plan asks about the type's. */
function typeVerdicts(chemistry: Chemistry, type: PictureCellType, cells: readonly PictureCell[], subject: Subject) {
	const figures = typeFigures(type);
	const isRead = cells.some((c) => c.readings.acResistance);
	const asked = isRead ? figures : { ...figures, acResistanceMohm: null };
	return judgeTypeFigures(chemistry, asked, seenOf(cells), subject);
}

/** Stops that ask what something is: they are told, and claim nothing. */
const ASKED: readonly string[] = ['polarity', 'chemistry-doubted'];

/** What is claimed at once, whatever a cell holds. */
const DEFECTS: Readonly<Record<string, ClaimedDefect>> = {
	'inspection-look': 'damaged',
	'module-damaged': 'damaged',
	'code-older-than-promised': 'older',
	'print-older-than-promised': 'older',
	'code-chemistry': 'other-kind',
	'terminals-not-promised': 'other-kind',
	'resistance-over-promise': 'resistance'
};

/** What a delivery comes to, with every cell tested or not: in one sentence, and cell by cell. */
export function deliveryClaim(picture: BankPicture, { delivery, cells, verdicts }: JudgedTray) {
	const stopped = new Set(verdicts.filter((v) => v.warmth === 'stop' && !ASKED.includes(v.code)).flatMap(cellsOf));
	const byCell = new Map(bankCapacities(picture).map((c) => [c.cell.id, c]));
	const wanted = cells[0] ? promisedTo(cells[0], picture) : null;
	const terms: ClaimTerms = {
		cellPrice: delivery.cellPrice,
		soldAh: wanted?.capacityAh ?? null,
		currency: picture.currency,
		claimUntil: claimUntilOf(delivery)
	};
	const defects = new Map(
		verdicts.flatMap((v) => {
			const defect = DEFECTS[v.code];
			return defect ? cellsOf(v).map((id) => [id, defect] as const) : [];
		})
	);
	const claimed = cells.map(({ id, label }): ClaimedCell => {
		const judgement = byCell.get(id)?.judgement ?? null;
		return {
			id,
			label,
			stopped: stopped.has(id),
			defect: defects.get(id) ?? null,
			capacity: judgement && {
				outcome: judgement.outcome,
				capacityAh: judgement.capacityAh,
				sdAh: judgement.sdAh,
				wantedAh: judgement.ratedAh
			}
		};
	});
	const claim = claimOf(claimed, terms);
	return { claim, terms, claimed, wanted, verdicts: judgeClaim(claim, terms, deliverySubject(delivery)) };
}
