import { chargeAfter } from '../foundation/parallel-charge';
import { STAGE_NAMES, type Stage, type StageStatus, type StageVerdict } from '../foundation/verdicts';
import type { BalanceState } from '../balance/state';
import type { BatteryBuild } from '../build/state';

/** What is judged of a bank as a whole: its stages, the one to go on with, the warmest verdict that asks for something. */
export interface JudgedInShort {
	stages: readonly StageStatus[];
	current: Stage;
	first: StageVerdict | null;
}

/** What somebody who comes back wants to know of a bank, in words; nothing where there is nothing to tell. */
export interface WhereWasI {
	/** How things stand: what is joined, how full it was charged, what is half done, what must come out again. */
	lines: string[];
	/** The next act that the checks allow: the warmest verdict's. */
	next: { stage: string; title: string; act: string } | null;
}

const percent = (share: number) => Math.round(share * 100);
const count = (n: number, what: string) => `${n} ${what}${n === 1 ? '' : 's'}`;

function rowLine({ run, cells, plan, progress }: BalanceState): string[] {
	if (!run?.startedAt) return [];
	const row = `${count(cells.length, 'cell')} joined in a row`;
	const day = (run.endedAt ?? run.startedAt).slice(0, 10);
	const reached = plan && progress ? chargeAfter(plan, progress.deliveredAh) : null;
	const charge = reached ? `, charged to ${percent(reached.low)} to ${percent(reached.high)} %` : '';
	if (!run.endedAt) return [`${row} since ${day}${charge}; by this record the supply is on.`];
	return [
		progress?.done
			? `${count(cells.length, 'cell')} balanced to the end on ${day}.`
			: `The balance of ${count(cells.length, 'cell')} was ended on ${day}${charge}, not proved balanced.`
	];
}

function buildLines(builds: readonly BatteryBuild[]): string[] {
	return builds.flatMap(({ battery, whole, leads, torques, temporaryParts }) => {
		if (!whole) return [];
		const joints = battery.series + 1;
		return [
			...(temporaryParts.length ? [`Still in for the while: ${temporaryParts.map((p) => p.name).join(', ')}.`] : []),
			...(leads
				? [leads.pass ? 'The balance leads are read and right.' : 'The balance leads are read, and not right yet.']
				: []),
			...(torques.length > 0 && torques.length < joints
				? [`${torques.length} of ${count(joints, 'joint')} have their torque.`]
				: [])
		];
	});
}

/** Stages that are begun and not done, by what is open in them. */
function halfDone({ stages, current }: JudgedInShort): string[] {
	const open = stages.filter((s) => !s.done && s.open !== null && s.stage !== current).slice(0, 2);
	const own = stages.find((s) => s.stage === current);
	return [
		`You were in ${STAGE_NAMES[current]}${own?.open ? `: ${own.open} open there` : ''}.`,
		...open.map((s) => `${STAGE_NAMES[s.stage]}: ${s.open} open.`)
	];
}

/** How a bank stands for somebody who comes back to it, and the next act. */
export function whereWasI(judged: JudgedInShort, balance: BalanceState, builds: readonly BatteryBuild[]): WhereWasI {
	const { first } = judged;
	return {
		lines: [...halfDone(judged), ...rowLine(balance), ...buildLines(builds)],
		next: first ? { stage: first.stage, title: first.title, act: first.next ?? first.finding } : null
	};
}
