import { judgeModules, type WholeModule } from './judge-modules';
import {
	makeOf,
	CRATE_REST_S,
	deliverySubject,
	modulesOf,
	type BankPicture,
	type PictureDelivery
} from '../../picture';
import { meterSd } from '../../foundation/reading';
import { cellSubject, type Subject, type Verdict } from '../../foundation/verdicts';

/** What the modules of a delivery tell that are in one piece. */
export function moduleVerdicts(picture: BankPicture, delivery: PictureDelivery): Verdict[] {
	const make = makeOf(delivery);
	if (!make) return [];
	const whole = modulesOf(delivery, picture).filter((m) => !m.record?.openedOn);
	const judged = whole.map(({ number, label, cells, record }): WholeModule => {
		// One of which nothing is written down has no record to be about.
		const subject: Subject = record
			? { kind: 'module', id: record.id, label }
			: { kind: 'module', id: `${delivery.id}/${number}`, label };
		return {
			subject,
			cells: cells.map(cellSubject),
			voltageV: record?.voltageV ?? null,
			groupsV: record?.groupsV ?? null,
			seen: record?.seen ?? []
		};
	});
	const { chemistry } = picture.bank;
	const terms = { make, chemistry, sdV: (v: number) => meterSd(picture.meters.restVoltage, v), restS: CRATE_REST_S };
	return judgeModules(judged, terms, deliverySubject(delivery));
}
