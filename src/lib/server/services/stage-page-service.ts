import type { Stage } from '$lib/core/shared';
import { bankCapacities, deliveryTrays, limitsState, matchState } from '$lib/core/stages';
import type { StageVerdict } from '$lib/core/verdicts';
import { loadBankPicture } from '../bank-picture/load';
import { bankVerdicts } from '../judgements/store';
import { balanceFacts } from '../stages/balance/stage';
import { serveFacts } from '../stages/serve/stage';
import { instrumentChoices } from './instrument-service';
import { currentPlacements, placedLabels } from './match-service';
import { listCellTypes } from './bank-service';
import { roomTemperatureC } from './rehearsal-bench';

/** What every stage's page shows: its verdicts, as Home and the rail know them. */
interface StagePage {
	verdicts: StageVerdict[];
}

/** The page of a stage: its own state, and the judgement that is shown everywhere. */
async function pageOf<Own extends object>(bankId: number, stage: Stage, own: Promise<Own>): Promise<Own & StagePage> {
	const [state, verdicts] = await Promise.all([own, bankVerdicts(bankId, stage)]);
	return { ...state, verdicts };
}

export const planPage = (bankId: number) =>
	pageOf(bankId, 'plan', (async () => ({ cellTypes: await listCellTypes(bankId) }))());

export const receivePage = (bankId: number) =>
	pageOf(
		bankId,
		'receive',
		(async () => ({ trays: deliveryTrays(await loadBankPicture(bankId)), instruments: await instrumentChoices() }))()
	);

export const testPage = (bankId: number) =>
	pageOf(
		bankId,
		'test',
		(async () => ({
			capacities: bankCapacities(await loadBankPicture(bankId)),
			instruments: await instrumentChoices(),
			roomC: await roomTemperatureC(bankId)
		}))()
	);

export const matchPage = (bankId: number) =>
	pageOf(
		bankId,
		'match',
		(async () => ({
			...matchState(await loadBankPicture(bankId)),
			placements: await currentPlacements(bankId)
		}))()
	);

export const balancePage = (bankId: number) =>
	pageOf(
		bankId,
		'balance',
		(async () => ({
			balance: await balanceFacts(await loadBankPicture(bankId)),
			instruments: await instrumentChoices(),
			roomC: await roomTemperatureC(bankId)
		}))()
	);

export const limitsPage = (bankId: number) =>
	pageOf(bankId, 'limits', (async () => ({ limits: limitsState(await loadBankPicture(bankId)) }))());

export const servePage = (bankId: number, battery: number) =>
	pageOf(
		bankId,
		'serve',
		(async () => {
			const all = await serveFacts(await loadBankPicture(bankId));
			return {
				serve: all.find((b) => b.battery.number === battery) ?? all[0] ?? null,
				placements: await placedLabels(bankId, battery),
				instruments: await instrumentChoices()
			};
		})()
	);
