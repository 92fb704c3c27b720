import { verdict, type Measured } from '../../foundation/verdicts';

type SeenOutside = 'leak' | 'smell' | 'heat' | 'swelling' | 'vent';

interface ModuleRead {
	/** Over its terminals. */
	voltageV: Measured;
	series: number;
	parallel: number;
}

interface ModuleCharge extends ModuleRead {
	/** Volts divided by the groups in series. */
	meanV: number;
	/** Charge of every group if all are alike, fractions. */
	chargeLow: number;
	chargeHigh: number;
	/** As low as one group may stand without these volts showing it. */
	lowestHiddenV: number;
}

interface ModuleTaps {
	/** Groups that were read. */
	groups: number;
	lowestV: number;
	highestV: number;
	series: number;
	parallel: number;
}

const percent = (low: number, high: number) => `${Math.round(low * 100)} to ${Math.round(high * 100)} %`;

const volts = (v: number, digits = 2) => `${v.toFixed(digits)} V`;

const readOf = ({ voltageV, series }: ModuleRead) =>
	`${volts(voltageV.value)} over ${series} in series, ${volts(voltageV.value / series, 3)} on average`;

const hidden = (v: number) =>
	v <= 0
		? 'One of its cells may be empty, or even stand reversed, and these volts would not show it.'
		: `One of its cells may stand as low as ${volts(v)}, and these volts would not show it.`;

const SUM_RULE = 'The volts over a module are the sum of its groups; none of them rests higher than a full cell.';

const APART =
	'Taken apart by somebody who knows how: one link at a time, insulated tools, the rest covered, and never across two cells.';

const REASONS: Record<SeenOutside, string> = {
	leak: 'it leaks or is wet',
	smell: 'it smells of solvent',
	heat: 'it is warm by itself',
	swelling: 'it is swollen',
	vent: 'a vent has opened'
};

export const MODULE_VERDICTS = {
	'modules-whole': verdict<{ modules: number; cells: number; unread: number }>()({
		means: 'Modules of a delivery that are still in one piece.',
		urgencies: ['open'],
		words: ({ facts: { modules, cells, unread } }) => ({
			title: `${modules} ${modules === 1 ? 'module' : 'modules'} in one piece`,
			finding: `Their ${cells} cells are read one by one once they are apart${unread ? `; ${unread} of the modules ${unread === 1 ? 'has' : 'have'} not been read at all` : ''}.`,
			doubt: 'The volts of a module are a sum: they hide a single bad cell.',
			rule: 'Every cell is read by itself before it is built in.',
			next: `Read each module over its terminals, and each group over its taps. ${APART} Then say here that it is apart.`
		})
	}),
	'module-volts': verdict<ModuleCharge>()({
		means: "What the volts over a module's terminals tell.",
		urgencies: ['calm'],
		calm: 'note',
		follows: ['chargeLow', 'chargeHigh'],
		words: ({ subject, facts }) => ({
			title: `${subject.label}: ${volts(facts.voltageV.value)}`,
			finding: `${readOf(facts)}: ${percent(facts.chargeLow, facts.chargeHigh)} of their charge if all its groups are alike.`,
			doubt: hidden(facts.lowestHiddenV),
			rule: SUM_RULE,
			next: 'Read each group over its taps; without taps, each cell once the module is apart.'
		})
	}),
	'module-low': verdict<ModuleCharge & { limitV: number }>()({
		means: 'At least one of its cells is below its limit.',
		urgencies: ['stop'],
		follows: ['chargeLow', 'chargeHigh'],
		remedy: { to: 'receive/modules', text: 'Go to the module' },
		words: ({ subject, facts }) => ({
			title: `${subject.label} holds a cell below its limit`,
			finding: `${readOf(facts)}; a cell’s limit is ${volts(facts.limitV)}. At least one of them stands below it.`,
			doubt: hidden(facts.lowestHiddenV),
			rule: SUM_RULE,
			next: 'Do not charge it as a whole. Take it apart and read each cell.'
		})
	}),
	'module-high': verdict<ModuleCharge & { limitV: number }>()({
		means: 'At least one of its cells is above its limit.',
		urgencies: ['stop'],
		follows: ['chargeLow', 'chargeHigh'],
		remedy: { to: 'receive/modules', text: 'Go to the module' },
		words: ({ subject, facts }) => ({
			title: `${subject.label} holds a cell above its limit`,
			finding: `${readOf(facts)}; a cell’s limit is ${volts(facts.limitV)}. At least one of them stands above it.`,
			doubt: 'Or it has more cells in series than was said: count them.',
			rule: SUM_RULE,
			next: 'Do not charge it. Count its cells, read it again, and each group over its taps.'
		})
	}),
	'module-turned': verdict<ModuleRead>()({
		means: 'It read negative.',
		urgencies: ['stop'],
		remedy: { to: 'receive/modules', text: 'Go to the module' },
		words: ({ subject, facts }) => ({
			title: `${subject.label} reads negative`,
			finding: `${readOf(facts)}.`,
			doubt: 'The probes were exchanged, or its terminals are marked the wrong way round.',
			rule: 'Red probe on the terminal that is marked plus.',
			next: 'Read it again. If it stays, mark its true plus before anything is joined to it.'
		})
	}),
	'module-below-others': verdict<ModuleRead & { othersV: number; missingV: number; usuallyV: number }>()({
		means: 'A module that stands lower than the others of its delivery by more than like cells can differ.',
		urgencies: ['look'],
		words: ({ subject, facts }) => ({
			title: `${subject.label} stands ${volts(facts.missingV)} below the others`,
			finding: `${readOf(facts)}; the others stand at ${volts(facts.othersV)}.`,
			doubt: `Modules of like cells differ by up to ${volts(facts.usuallyV)} through charge history, curve and meter: this is more.`,
			rule: 'At least one of its groups holds less than those of the others.',
			next: 'Read its groups over their taps; take it apart first.'
		})
	}),
	'module-damaged': verdict<{ reasons: SeenOutside[] }>()({
		means: 'Something seen from outside that stops it.',
		urgencies: ['stop'],
		remedy: { to: 'receive/modules', text: 'Go to the module' },
		words: ({ subject, facts: { reasons } }) => ({
			title: `Do not use ${subject.label}`,
			finding: `Seen from outside: ${reasons.map((r) => REASONS[r]).join('; ')}.`,
			doubt: null,
			rule: 'None of its cells is used before it is known which one it was.',
			next: 'Put it outside, away from what burns, and do not open it. Photograph it for the supplier.'
		})
	}),
	'module-taps-disagree': verdict<{ sumV: Measured; voltageV: number; differenceV: number }>()({
		means: 'Its taps add up to something else than its terminals show.',
		urgencies: ['look'],
		words: ({ subject, facts: { sumV, voltageV, differenceV } }) => ({
			title: `Taps and terminals of ${subject.label} disagree`,
			finding: `The taps add up to ${volts(sumV.value)}, the terminals show ${volts(voltageV)}: ${volts(Math.abs(differenceV))} apart.`,
			doubt: `A tap that was read twice or on the wrong pin, or a link inside that no longer conducts. The meter explains ${volts(3 * sumV.sd)}.`,
			rule: SUM_RULE,
			next: 'Read taps and terminals again, one after the other.'
		})
	}),
	'module-groups-alike': verdict<ModuleTaps>()({
		means: 'Groups of a module, read over its taps, none of which stands out.',
		urgencies: ['calm'],
		calm: 'ok',
		words: ({ subject, facts }) => ({
			title: `No group of ${subject.label} stands out`,
			finding: `${facts.groups} of ${facts.series} groups, ${volts(facts.lowestV, 3)} to ${volts(facts.highestV, 3)}.`,
			doubt:
				facts.parallel > 1
					? `${facts.parallel} cells are joined in each: they hold one another up, and a weak one does not show.`
					: 'In the middle of the curve volts tell little of the charge.',
			rule: 'No group’s charge lies below what the others hold, with the doubt of curve, history and meter.',
			next: null
		})
	}),
	'module-group-high': verdict<{ high: { group: number; volts: number }[]; limitV: number }>()({
		means: 'Groups of a module above the limit of a cell.',
		urgencies: ['stop'],
		remedy: { to: 'receive/modules', text: 'Go to the module' },
		words: ({ subject, facts: { high, limitV } }) => ({
			title: `${subject.label}: ${high.length === 1 ? `group ${high[0]!.group} is` : `groups ${high.map((g) => g.group).join(', ')} are`} above the limit`,
			finding: `${high.map((g, i) => `${i ? 'group' : 'Group'} ${g.group} at ${volts(g.volts, 3)}`).join(', ')}, counted from its minus; the limit of a cell is ${volts(limitV)}.`,
			doubt: null,
			rule: 'Above the limit of a cell by more than the meter explains.',
			next: 'Read it again. If it stays, do not charge the module: let it stand outside, away from what burns, until it has fallen below.'
		})
	}),
	'module-group-low': verdict<ModuleTaps & { low: { group: number; volts: number }[]; limitV: number | null }>()({
		means:
			'Groups of a module that hold less than its others, or stand below the limit of a cell (`limitV`; null: none does).',
		urgencies: ['look', 'stop'],
		remedy: { to: 'receive/modules', text: 'Go to the module' },
		words: ({ subject, facts: { low, limitV } }) => ({
			title: `${subject.label}: ${low.length === 1 ? `group ${low[0]!.group} is` : `groups ${low.map((g) => g.group).join(', ')} are`} low`,
			finding: `${low.map((g, i) => `${i ? 'group' : 'Group'} ${g.group} at ${volts(g.volts, 3)}`).join(', ')}, counted from its minus${limitV === null ? '' : `; the limit of a cell is ${volts(limitV)}`}.`,
			doubt: null,
			rule: 'Below the others by more than curve, history and meter explain, or below the limit.',
			next: 'Do not charge it as a whole. Take it apart and look at these cells first.'
		})
	})
};
