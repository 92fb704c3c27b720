import { type Subject, type Verdict } from '../verdicts';
import { say } from './verdicts';
import type { Read } from './what-was-read';

/** What is said of readings that cannot be those of groups. */
export function misread(read: Exclude<Read, { kind: 'groups' }>, subject: Subject): Verdict {
	switch (read.kind) {
		case 'cumulative':
			return say('read-cumulative', 'open', subject, { differencesV: read.differencesV });
		case 'units':
			return say('read-units', 'open', subject, { cells: read.cells });
		case 'exchanged':
			return say('leads-exchanged', 'stop', subject, { leads: read.leads });
		case 'impossible':
			return say('read-impossible', 'look', subject, {
				group: read.index + 1,
				volts: read.volts,
				mostV: read.mostV,
				meantV: read.meantV
			});
	}
}
