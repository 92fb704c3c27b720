import { bankCapacities } from '$lib/core/test/capacities';
import { waitingForTest } from '$lib/core/receive/trays';
import { QUEUE_KIND_NAMES, queueForm, queueOf } from '$lib/core/test/queue';
import { loadBankPicture } from '../../bank-picture/load';
import { ServiceError } from '../../errors';
import { icsFile } from '../../formats/ics';
import { readSettings } from '../../records/settings/settings';
import { measuringOnThread } from '../../threads/measuring';

/** What of a bank's test queue needs a person, as a calendar file. @throws ServiceError 409 when nothing waits; CoreError */
export async function queueCalendar(bankId: number, params: URLSearchParams, gone: AbortSignal): Promise<string> {
	const [picture, settings] = await Promise.all([loadBankPicture(bankId), readSettings()]);
	const all = bankCapacities(picture);
	const waiting = all.filter((c) => c.capacityAh === null);
	const form = queueForm(params, { testers: 1, nowLocal: new Date().toISOString().slice(0, 16) });
	if (waiting.length + form.back.length === 0)
		throw new ServiceError(409, 'nothing-waits', 'Every cell of this bank has a capacity.');
	const labels = new Map(all.map(({ cell }) => [cell.id, cell.label]));
	const queue = queueOf(form, {
		waiting: waiting.map((c) => c.cell),
		claims: waitingForTest(picture),
		tested: all.flatMap(({ cell, capacityAh }) => (capacityAh === null ? [] : [{ id: cell.id, capacityAh }])),
		ratedAh: picture.cellType?.ratedAh ?? null,
		wakeFromH: settings.wakeFromH,
		wakeUntilH: settings.wakeUntilH,
		offset: params.get('offset') ?? '',
		timeZone: params.get('timeZone')
	});
	const steps = await measuringOnThread({ kind: 'queue-steps', queue }, gone);
	const { name } = picture.bank;
	return icsFile(
		name,
		steps
			.filter((s) => s.needsPerson)
			.map(({ cellId, kind, on, from, to }) => ({
				uid: `bank-${bankId}-queue-${cellId}-${kind}`,
				title: `${labels.get(Number(cellId))}: ${QUEUE_KIND_NAMES[kind]} on ${on}`,
				text: name,
				startMs: Date.parse(from),
				endMs: Date.parse(to),
				timed: true
			}))
	);
}
