import { sayFrom, verdict } from '../verdicts';

export const SNAPSHOT_VERDICTS = {
	'read-cumulative': verdict<{ differencesV: readonly number[] }>()({
		means: "The voltages rise from reading to reading: each was read from the battery's negative.",
		urgencies: ['open'],
		words: ({ facts: { differencesV } }) => ({
			title: 'These rise from reading to reading',
			finding: `Each looks as if read from the battery’s negative. The groups would then be ${differencesV.map((v) => v.toFixed(3)).join(', ')} V.`,
			doubt: 'Nothing was judged.',
			rule: 'A group’s voltage is the difference of two neighbouring readings.',
			next: 'If they were read from the battery’s negative, take the differences.'
		})
	}),
	'read-units': verdict<{ cells: number }>()({
		means: 'The voltages are those of whole units of several cells.',
		urgencies: ['open'],
		words: ({ facts: { cells } }) => ({
			title: `These are voltages of ${cells} cells each`,
			finding: `No single group can have them; ${cells} cells in series can.`,
			doubt: 'Nothing was judged: what is inside a unit does not show.',
			rule: 'A voltage is judged as that of what was read.',
			next: `Say that each reading is over ${cells} cells, or read every cell.`
		})
	}),
	'leads-exchanged': verdict<{ leads: readonly number[] }>()({
		means:
			'The voltages are those of a battery whose balance leads are exchanged; leads count from 1 at the first group’s plus.',
		urgencies: ['stop'],
		remedy: { to: 'build/leads', text: 'Read the leads' },
		words: ({ facts: { leads } }) => ({
			title: `Balance leads ${leads.join(' and ')} look exchanged`,
			finding: `Read in another order, the leads would show groups that can be: leads ${leads.join(' and ')} stand in each other’s place.`,
			doubt: 'By these readings alone; a meter at the plug tells for sure.',
			rule: 'Each balance lead reads one group more than the one before it, against the battery’s negative.',
			next: 'Take the balance plug out of the BMS now. Read each lead against the battery’s negative before it goes back.'
		})
	}),
	'read-impossible': verdict<{ group: number; volts: number; mostV: number; meantV: number | null }>()({
		means: 'A voltage no such group can have; `meantV`: what it may have been meant to be.',
		urgencies: ['look'],
		words: ({ facts: { group, volts, mostV, meantV } }) => ({
			title: `${volts} V is no group’s voltage`,
			finding: `Reading ${group} lies ${volts < 0 ? 'below 0 V' : `above the ${mostV.toFixed(2)} V such a group can have`}.`,
			doubt: 'Nothing was judged.',
			rule: 'A reading that cannot be is questioned before it is used.',
			next:
				volts < 0
					? 'Turn the probes and read again; if it stays, that cell stands the other way round: join nothing.'
					: meantV === null
						? 'Read it again.'
						: `If ${meantV.toFixed(3)} V was meant, write that; otherwise read it again.`
		})
	})
};

export const say = sayFrom(SNAPSHOT_VERDICTS);
