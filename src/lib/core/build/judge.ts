import { leadVerdict } from './leads';
import { torqueVerdicts } from './conductors';
import { type Verdict } from '../foundation/verdicts';
import { say } from './verdicts';
import { lapseVerdicts, batterySubject, isInService, type BankPicture, type StageJudgement } from '../picture';
import { type BuildRecords, type BatteryBuild, buildState } from './state';

/** @param wanted whether what nobody wrote down is asked for */
function batteryVerdicts(picture: BankPicture, build: BatteryBuild, wanted: boolean): Verdict[] {
	const subject = batterySubject(picture, build.battery);
	const { leads, torques, temporaryParts, battery } = build;
	const parts = temporaryParts.map((p) => p.name);
	return [
		...lapseVerdicts(picture, battery, build.lapses),
		...(leads
			? [leadVerdict(leads, subject)]
			: wanted && !build.lapses.some((l) => l.evidence === 'leads')
				? [say('leads-unread', 'open', subject, { leads: battery.series + 1 })]
				: []),
		...(parts.length ? [say('temporary-in', 'look', subject, { parts })] : []),
		...(wanted || torques.length
			? torqueVerdicts(battery.series, torques, subject, picture.cellType?.torqueNm ?? null)
			: [])
	];
}

/** The verdicts on how a bank is built: leads before the plug, torques, temporary parts. */
export function judgeBuildStage(picture: BankPicture, records: BuildRecords): StageJudgement {
	const builds = buildState(picture, records);
	const inService = isInService(picture);
	// Nobody builds what is still being balanced; whoever has begun to is asked for the rest.
	const isTurn = picture.balanceRun?.endedAt != null;
	const begun = (b: BatteryBuild) => b.reading !== null || b.torques.length > 0;
	const verdicts = builds.flatMap((b) => batteryVerdicts(picture, b, b.whole && !inService && (isTurn || begun(b))));
	const isBuilt = (b: BatteryBuild) =>
		b.whole && b.leads?.pass === true && b.torques.length > b.battery.series && b.temporaryParts.length === 0;
	const stands = builds.every((b) => b.lapses.length === 0);
	return { verdicts, done: stands && builds.every(isBuilt) };
}
