import type { RehearsalJudgement } from '$lib/core/world/rehearsal';
import type { Stage, ShownVerdict } from '$lib/core/foundation/verdicts';

export const money = (amount: number): string => amount.toFixed(0);

const verdict = (
	code: string,
	warmth: ShownVerdict['warmth'],
	title: string,
	finding: string,
	next: string | null
): ShownVerdict => ({
	code,
	warmth,
	title,
	finding,
	doubt: null,
	rule: 'In a rehearsal every cell is simulated; times are those of the bench’s own clock.',
	next
});

/** A cell as it is seen at the bench. */
export interface SeenCell {
	id: number;
	label: string;
	restVoltageV: number | null;
	group: number | null;
	tools: ('supply' | 'load' | 'voltmeter' | 'ohmmeter')[];
}

const TOOL_WORDS: Record<SeenCell['tools'][number], string> = {
	supply: 'supply',
	load: 'load',
	voltmeter: 'probes',
	ohmmeter: 'mΩ probes'
};

/** What stands under a cell of the bench's tray; null when there is nothing to say. */
export const benchMark = ({ restVoltageV, tools }: SeenCell): string | null =>
	[...((restVoltageV ?? 0) < 0 ? ['reversed'] : []), ...tools.map((t) => TOOL_WORDS[t])].join(', ') || null;

export type Wiring = 'loose' | 'parallel' | 'series';

/** What comes next at the bench, by what has been done: title, finding, next step. */
function nextStep(wiring: Wiring, stage: Stage): [string, string, string] {
	if (wiring === 'series')
		return [
			'The battery is built',
			'BMS and shunt are connected.',
			'Read every balance lead, watch BMS and shunt from Serve, then write down what you found.'
		];
	if (wiring === 'parallel')
		return [
			'The row is joined',
			'Supply and meter go on it by themselves.',
			'Charge it live from Balance, then build in series.'
		];
	if (stage === 'plan' || stage === 'receive')
		return [
			'Begin with Receive',
			'Read every cell with the bench’s meters before any are joined.',
			'Go to Receive and read them all, volts and milliohms.'
		];
	if (stage === 'test')
		return ['The cells have been read', 'What they hold, no voltage tells.', 'Go to Test and run each cell live.'];
	if (stage === 'match')
		return ['The cells have been tested', 'Their capacities decide who goes where.', 'Go to Match and accept a match.'];
	return [
		'Your hands know which cell goes where',
		'The cells are matched: they can be joined in a row, or built in series.',
		'Join them in one row and top-balance, then build.'
	];
}

/** What a rehearsal asks next, or how it ended. @param wiring how the cells stand; null while another crate is on the bench */
export function rehearsalVerdicts(
	judgement: RehearsalJudgement | null,
	wiring: Wiring | null,
	stage: Stage
): ShownVerdict[] {
	if (judgement) {
		const caught = judgement.defects.filter((d) => d.caught).length;
		const all = judgement.defects.length;
		const title = all === 0 ? 'Nothing was hidden' : `You caught ${caught} of ${all}`;
		const cost =
			judgement.totalCost > 0
				? `As you left it, it would have cost about ${money(judgement.totalCost)}.`
				: 'As you left it, it would have cost nothing.';
		return [
			verdict(
				'rehearsal-end',
				caught < all || judgement.totalCost > 0 ? 'look' : 'calm',
				title,
				cost,
				'Open another crate, or begin with your own cells.'
			)
		];
	}
	if (wiring === null)
		return [
			verdict(
				'rehearsal-away',
				'open',
				'Another crate is on the bench',
				'Yours was kept as you left it.',
				'Use your hands below, and it is put back.'
			)
		];
	const [title, finding, next] = nextStep(wiring, stage);
	return [verdict('rehearsal-next', 'calm', title, finding, next)];
}
