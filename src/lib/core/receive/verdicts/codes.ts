import { countWords, verdict } from '../../foundation/verdicts';
import type { Chemistry } from '../../foundation/chemistry';

const CLAIM = 'a code is a claim: codes are forged, and engraved anew';

/** A range of months, as wide as its doubt makes it. */
function monthsFrom(youngest: number, oldest: number, doubt: number): string {
	const [low, high] = [Math.max(0, youngest - doubt), oldest + doubt].map((m) => m.toFixed(0)) as [string, string];
	return low === high ? `${low} ${low === '1' ? 'month' : 'months'}` : `${low} to ${high} months`;
}

export const CODE_VERDICTS = {
	'code-unreadable': verdict<{ code: string; why: string }>()({
		means: 'A code of which nothing can be read.',
		urgencies: ['open'],
		mark: 'code?',
		words: ({ facts: { code, why }, subject }) => ({
			title: `${subject.label}: nothing is read from its code`,
			finding: `${code}: ${why}`,
			doubt: null,
			rule: `24 characters by the national rule; ${CLAIM}.`,
			next: 'Read it again, by camera or letter by letter.'
		})
	}),
	'code-chemistry': verdict<{ code: string; says: Chemistry; wanted: Chemistry }>()({
		means: 'A code of another chemistry.',
		urgencies: ['look'],
		mark: 'code?',
		words: ({ facts: { code, says, wanted }, subject }) => ({
			title: `${subject.label}: its code says ${says}, not ${wanted}`,
			finding: `Character 5 of ${code}.`,
			doubt: `A digit misread, or another cell; ${CLAIM}.`,
			rule: 'Chemistry by character 5 of the code, against that of the bank.',
			next: 'Measure it: charged full and rested, each chemistry stands at its own voltage. Keep it out until then.'
		})
	}),
	'code-after-arrival': verdict<{ code: string; producedOn: string; receivedOn: string }>()({
		means: 'A code that claims a day after the cell arrived.',
		urgencies: ['look'],
		mark: 'code?',
		words: ({ facts: { producedOn, receivedOn }, subject }) => ({
			title: `${subject.label}: made after it arrived, by its code`,
			finding: `The code says ${producedOn}; it came on ${receivedOn}.`,
			doubt: `A digit misread, or a code that was engraved anew; ${CLAIM}.`,
			rule: 'A cell is made before it arrives.',
			next: 'Read it again; ask the supplier if it stays.'
		})
	}),
	'code-older-than-promised': verdict<{ code: string; producedOn: string; promisedOn: string }>()({
		means: 'Made earlier than promised.',
		urgencies: ['look'],
		mark: 'older',
		words: ({ facts: { producedOn, promisedOn }, subject }) => ({
			title: `${subject.label} is older than promised`,
			finding: `Made ${producedOn} by its code; promised ${promisedOn} or later.`,
			doubt: `${CLAIM[0]!.toUpperCase()}${CLAIM.slice(1)}.`,
			rule: 'Production date by the code against the promise.',
			next: 'It goes into the report to the supplier.'
		})
	}),
	'print-and-code-apart': verdict<{ month: string; producedOn: string }>()({
		means: 'The month printed on a cell and the date of its code exclude each other.',
		urgencies: ['look'],
		words: ({ facts: { month, producedOn }, subject }) => ({
			title: `${subject.label}: its print says ${month}, its code ${producedOn.slice(0, 7)}`,
			finding: 'They are more than two months apart.',
			doubt: `A printed date may be that of a test standard or of the packing; ${CLAIM}.`,
			rule: 'Print and code of one cell tell of the same month.',
			next: 'Take a photo of both, read the code again, and ask the supplier which is right.'
		})
	}),
	'print-after-arrival': verdict<{ month: string; receivedOn: string }>()({
		means: 'A printed month after the cell arrived.',
		urgencies: ['look'],
		words: ({ facts: { month, receivedOn }, subject }) => ({
			title: `${subject.label}: made after it arrived, by its print`,
			finding: `${month} is printed on it; it came on ${receivedOn}.`,
			doubt: 'A digit misread, or the date of something else.',
			rule: 'A cell is made before it arrives.',
			next: 'Look at the print again.'
		})
	}),
	'print-older-than-promised': verdict<{ month: string; promisedOn: string }>()({
		means: 'Made earlier than promised, by what is printed on it.',
		urgencies: ['look'],
		mark: 'older',
		words: ({ facts: { month, promisedOn }, subject }) => ({
			title: `${subject.label} is older than promised`,
			finding: `${month} is printed on it; promised ${promisedOn} or later.`,
			doubt: 'A printed date may be that of a test standard: the code tells more, where there is one.',
			rule: 'The month printed on it against the promise.',
			next: 'Take a photo of the print: it goes into the report to the supplier.'
		})
	}),
	'code-twice': verdict<{ code: string; cells: number }>()({
		means: 'One code on more than one cell of the stock.',
		urgencies: ['look'],
		mark: 'code?',
		words: ({ facts: { code, cells } }) => ({
			title: `One code on ${cells} cells`,
			finding: `${code} is borne by more than one cell of the stock.`,
			doubt: 'Typed or scanned twice, or copied onto them.',
			rule: 'A code is borne by one cell.',
			next: 'Scan both again.'
		})
	}),
	'age-at-arrival': verdict<{
		cells: number;
		youngestMonths: number;
		oldestMonths: number;
		/** What the dates themselves leave open: half a month where only a month is printed. */
		doubtMonths: number;
		oldMonths: number;
	}>()({
		means: 'Age of the cells at arrival, by their codes or what is printed on them.',
		urgencies: ['calm', 'open'],
		calm: 'note',
		words: ({ facts: { cells, youngestMonths, oldestMonths, doubtMonths, oldMonths } }) => ({
			title: `By their dates ${monthsFrom(youngestMonths, oldestMonths, doubtMonths)} old on arrival`,
			finding: `${countWords(cells, 'date tells', 'dates tell')} of ${monthsFrom(youngestMonths, oldestMonths, doubtMonths)}${doubtMonths > 0 ? '; a printed month leaves half a month open' : ''}.`,
			doubt: `They may be older, hardly younger: ${CLAIM}; a date printed on a label may be that of a test standard.`,
			rule: `Older than ${oldMonths} months is worth a word (default).`,
			next:
				oldestMonths + doubtMonths > oldMonths
					? 'Charge them soon, and test their capacity and what they lose by themselves.'
					: null
		})
	})
};
