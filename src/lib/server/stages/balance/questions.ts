import { isBalanced, type BalanceAnswer } from '$lib/core/balance/is-balanced';
import { meterSd } from '$lib/core/foundation/reading';
import { bankSubject } from '$lib/core/picture';
import { ratedGroupAh } from '$lib/core/serve/state';
import type { BalanceQuestionInput } from '$lib/input/compute';
import { InputError } from '$lib/input/validate';
import { loadBankPicture } from '../../bank-picture/load';
import { serviceChecks } from '../../records';
import { currentMeters } from '../../records/settings/settings';
import { balanceFacts } from './face';

/** A meter nobody described, one sd at a cell's voltage, V (default). */
const USUAL_METER_SD_V = 0.002;

/** "Is it balanced?" for group voltages read now. @throws InputError when neither a bank nor a battery's figures are given */
export async function answerIsBalanced(input: BalanceQuestionInput): Promise<BalanceAnswer> {
	return input.bankId == null ? ofBattery(input) : ofBank(input.bankId, input);
}

function ofBattery({ chemistry, groupAh, ...input }: BalanceQuestionInput): BalanceAnswer {
	if (chemistry == null || groupAh == null)
		throw new InputError(
			(['chemistry', 'groupAh'] as const)
				.filter((path) => (path === 'chemistry' ? chemistry : groupAh) == null)
				.map((path) => ({ path, message: `${path} is required where there is no bankId` }))
		);
	return isBalanced({ ...asked(input, USUAL_METER_SD_V), chemistry, groupAh });
}

async function ofBank(bankId: number, input: BalanceQuestionInput): Promise<BalanceAnswer> {
	const picture = await loadBankPicture(bankId);
	const { bank, batteries } = picture;
	const built = batteries.find((b) => b.kind === 'built') ?? batteries[0];
	// Only a balance that was read to its end has brought the groups together; every one recorded here is one at the top.
	const { progress } = await balanceFacts(picture);
	const firstV = Math.abs(input.groupVoltagesV[0]!);
	const question = asked(input, meterSd((await currentMeters()).restVoltage, firstV));
	const answer = isBalanced(
		{
			...question,
			chemistry: bank.chemistry,
			groupAh: built ? ratedGroupAh(picture, built) : 100 * bank.parallel,
			balancedAt: progress?.done ? 'top' : null,
			passings: question.passings ?? (await latestPassings(bankId, built?.number ?? 1, question.groupVoltagesV.length))
		},
		bankSubject(picture)
	);
	const groups = built?.series ?? bank.series;
	if (answer.apartAh !== null && question.cellsPerReading === 1 && input.groupVoltagesV.length !== groups)
		throw new InputError([
			{
				path: 'groupVoltagesV',
				message: `requires ${groups} voltages, one a group, got ${input.groupVoltagesV.length}`
			}
		]);
	return answer;
}

/** These readings end the charge that was logged: later a balancer, a load, leakage have moved the groups, ms. */
const STILL_TELLS_MS = 2 * 3_600_000;

/** What the log of the charge just ended counted of the groups; null where there is none. */
async function latestPassings(bankId: number, battery: number, groups: number) {
	const since = Date.now() - STILL_TELLS_MS;
	const checks = await serviceChecks.all({ bankId, battery });
	return (
		checks.findLast((c) => c.passings?.groups.length === groups && Date.parse(c.checkedAt) > since)?.passings ?? null
	);
}

const asked = (input: Omit<BalanceQuestionInput, 'chemistry' | 'groupAh'>, usualSdV: number) => ({
	groupVoltagesV: input.groupVoltagesV,
	currentA: input.currentA,
	meterSdV: input.meterSdV ?? usualSdV,
	cellsPerReading: input.cellsPerReading ?? 1,
	passings: input.passings?.groups.length === input.groupVoltagesV.length ? input.passings : null
});
