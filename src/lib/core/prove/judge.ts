import { type Verdict } from '../foundation/verdicts';
import { say } from './verdicts';
import { batterySubject, isInService, type BankPicture, type StageJudgement } from '../picture';
import {
	type ProveRecords,
	PROVE_CHECKS,
	type CheckState,
	PROVE_CHECK_NAMES,
	type BatteryProof,
	proveState
} from './state';

function gateVerdict(picture: BankPicture, proof: BatteryProof): Verdict {
	const subject = batterySubject(picture, proof.battery);
	if (proof.temporaryParts.length) return say('prove-shut', 'stop', subject, { parts: proof.temporaryParts });
	const named = (state: CheckState) =>
		PROVE_CHECKS.filter((c) => proof.checks[c] === state).map((c) => PROVE_CHECK_NAMES[c]);
	const unchecked = named('open');
	const wrong = named('wrong');
	const checked = PROVE_CHECKS.length - unchecked.length;
	return unchecked.length
		? say('prove-open', 'open', subject, { unchecked, wrong, checked })
		: say('prove-checked', wrong.length ? 'look' : 'calm', subject, { checked, wrong });
}

/** The verdicts on what was proved of a bank, and its gate. A bank in service is asked nothing that nobody wrote down. */
export function judgeProveStage(picture: BankPicture, records: ProveRecords): StageJudgement {
	const proofs = proveState(picture, records);
	const inService = isInService(picture);
	const begun = ({ checks }: BatteryProof) =>
		(['joints', 'bms', 'counters', 'capacity'] as const).some((c) => checks[c] !== 'open') ||
		(checks.leads === 'checked' && checks.torques === 'checked');
	const verdicts = proofs.flatMap((p) => [
		...((!inService && begun(p)) || p.temporaryParts.length ? [gateVerdict(picture, p)] : []),
		// What a battery in service was tested for since is told in Serve.
		...p.verdicts.filter((v) => !inService || !v.code.startsWith('capacity-'))
	]);
	const isProved = (p: BatteryProof) =>
		p.temporaryParts.length === 0 && Object.values(p.checks).every((state) => state === 'checked');
	const stands = proofs.every((p) => p.lapses.length === 0);
	return { verdicts, done: stands && proofs.length > 0 && proofs.every(isProved) };
}
