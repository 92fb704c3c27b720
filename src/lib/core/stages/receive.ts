import { group } from 'd3-array';
import type { SocBounds } from '../chemistry';
import { judgeDelivery, meterSd } from '../reading';
import { say, type Subject, type Verdict } from '../verdicts';
import { oncePerPicture } from './once-per-picture';
import type { BankPicture, PictureCell, PictureDelivery, PictureReading } from './picture';
import { bankSubject, concernedCells, isInService, wantedCells } from './picture-parts';
import { setAside, type StageJudgement } from './stage-judgement';

/** Rest assumed of a cell as it comes out of its crate, s: two days of transport. */
export const CRATE_REST_S = 2 * 86400;

/** A delivery as it lies on its tray. */
export interface DeliveryTray {
	delivery: PictureDelivery;
	cells: readonly PictureCell[];
}
/** The same with what is thought of it. */
interface JudgedTray extends DeliveryTray {
	verdicts: Verdict[];
	/** Arrival state of charge per cell id, for the cells that have a rest voltage. */
	socByCell: Record<number, SocBounds>;
}

const deliverySubject = ({ id, name }: PictureDelivery): Subject => ({ kind: 'delivery', id, label: name });

/** Each delivery with cells in play as a tray, oldest first. */
export function deliveryTrays({ deliveries, cells }: BankPicture): DeliveryTray[] {
	const byDelivery = group(cells, (c) => c.deliveryId);
	return deliveries.map((delivery) => ({ delivery, cells: byDelivery.get(delivery.id) ?? [] }));
}

/** Each tray of {@link deliveryTrays}, judged. */
export const judgedTrays = oncePerPicture((picture): JudgedTray[] =>
	deliveryTrays(picture).map((tray) => ({
		...tray,
		...judgeTray(picture, tray.cells, deliverySubject(tray.delivery))
	}))
);

/** Whether a voltage was read after the cell had been tested, charged in a row or put to work. */
function readLater({ bank, balanceRun }: BankPicture, cell: PictureCell): boolean {
	const takenAt = cell.readings.restVoltage?.takenAt;
	if (!takenAt) return false;
	const charged = cell.groupId === null ? null : balanceRun?.startedAt;
	const since = [...cell.runs.map((r) => r.testedAt), charged, cell.groupId === null ? null : bank.inServiceOn];
	return since.some((at) => at != null && Date.parse(at) < Date.parse(takenAt));
}

function judgeTray(picture: BankPicture, cells: readonly PictureCell[], subject: Subject) {
	const { bank, cellType, meters } = picture;
	// A typed reading is doubted by the meter as the settings describe it today; one read live by the sheet of its instrument.
	const sdOf = (quantity: 'restVoltage' | 'acResistance', r: PictureReading | undefined) =>
		!r ? null : r.meter ? r.sd : meterSd(meters[quantity], r.value);
	const arrived = cells.map((cell) => {
		const {
			id,
			label,
			readings: { restVoltage, acResistance }
		} = cell;
		return {
			id,
			label,
			readLater: readLater(picture, cell),
			plusTurned: cell.plusTurned,
			restVoltageV: restVoltage?.value ?? null,
			acResistanceMohm: acResistance?.value ?? null,
			restVoltageSdV: sdOf('restVoltage', restVoltage),
			acResistanceSdMohm: sdOf('acResistance', acResistance)
		};
	});
	const restS = Math.min(CRATE_REST_S, ...cells.map((c) => c.readings.restVoltage?.restS ?? CRATE_REST_S));
	return judgeDelivery(
		arrived,
		{ chemistry: bank.chemistry, restS, ratedResistanceMohm: cellType?.acResistanceMohm ?? null },
		subject
	);
}

/** The verdicts on what arrived, and whether every cell that is needed is here and read. */
export function judgeReceiveStage(picture: BankPicture): StageJudgement {
	const trays = judgedTrays(picture);
	const concerned = concernedCells(picture);
	const wanted = wantedCells(picture);
	const unread = concerned.filter((c) => !c.readings.restVoltage || !c.readings.acResistance);
	const done = concerned.length >= wanted && unread.length === 0;
	if (trays.length === 0) {
		const facts = { total: 0, unread: 0, withoutVoltage: 0, withoutResistance: 0 };
		// A bank built long ago, or of ready-made batteries, has no crate to unpack.
		const asks = wanted > 0 && !isInService(picture);
		return { verdicts: asks ? [say('not-read', 'open', bankSubject(picture), facts)] : [], done: !asks };
	}
	const ids = new Set(concerned.map((c) => c.id));
	const verdicts = trays.flatMap((t) => t.verdicts);
	return { verdicts: setAside(verdicts, ids), done };
}
