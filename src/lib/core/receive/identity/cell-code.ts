import type { Chemistry } from '../../foundation/chemistry';
import { CoreError } from '../../foundation/errors';

/** Parts of a 24-character code, as they stand in it, and what they stand for. */
export interface CellCodeFields {
	maker: string;
	/** `C` a cell, `M` a module, `P` a pack. */
	product: string;
	chemistryLetter: string;
	model: string;
	trace: string;
	year: number | null;
	month: number | null;
	day: number | null;
	serial: string;
}

export const CODE_WARNINGS = [
	'length',
	'character',
	'not-a-cell',
	'chemistry',
	'date',
	'before-the-rule',
	'in-the-future'
] as const;
export interface CodeWarning {
	code: (typeof CODE_WARNINGS)[number];
	message: string;
}

export interface CellCode {
	/** Null where it has not 24 characters. */
	fields: CellCodeFields | null;
	/** `2024-03-09`; a claim of the code, to be held against label and promise. Null where it tells none. */
	productionDate: string | null;
	chemistry: Chemistry | null;
	warnings: CodeWarning[];
}

export const CODE_LENGTH = 24;
const LONGEST_TYPED = 200;
/** Letters that stand for numbers from ten on: I, O, Q and U are left out, they look like 1, 0 and V. */
const LETTERS = 'ABCDEFGHJKLMNPRSTVWXYZ';
const CHEMISTRY_BY_LETTER: Record<string, Chemistry> = { B: 'LFP', E: 'NMC', G: 'LTO' };
const OTHER_CHEMISTRIES: Record<string, string> = {
	A: 'nickel–metal hydride',
	C: 'lithium manganese oxide',
	D: 'lithium cobalt oxide',
	F: 'a supercapacitor'
};
/** The national rule is of this year: an earlier date was written down afterwards. */
const RULE_YEAR = 2017;

const fromLetters = (letter: string, first: number, most: number): number | null => {
	const place = LETTERS.indexOf(letter);
	return place < 0 || first + place > most ? null : first + place;
};
const digit = (letter: string): number | null => (/^[1-9]$/.test(letter) ? Number(letter) : null);
const yearOf = (letter: string) => {
	const year = digit(letter);
	return year === null ? fromLetters(letter, 2020, 2040) : 2010 + year;
};
const monthOf = (letter: string) => digit(letter) ?? fromLetters(letter, 10, 12);
const dayOf = (letter: string) => (letter === '0' ? 31 : (digit(letter) ?? fromLetters(letter, 10, 30)));

/** A code as it is compared: without spaces and dashes, in capitals. */
export const plainCode = (typed: string): string => typed.replace(/[\s\-–_.]/g, '').toUpperCase();

/**
 * What a 24-character code claims (GB/T 34014-2017): 1–3 maker, 4 product, 5 chemistry, 6–7 model, 8–14 trace, 15 year (1–9 = 2011–2019,
 * then A = 2020 …), 16 month, 17 day (1–9, A = 10 … Y = 30, 0 = 31), 18–24 serial. A claim only: codes are forged and engraved anew.
 * @param typed as read or typed; spaces, dashes and small letters do not matter
 * @param todayIso to tell a date that has not come yet; null: not asked
 * @throws CoreError `empty`, `too-long`
 */
export function readCellCode(typed: string, todayIso: string | null = null): CellCode {
	const code = plainCode(typed);
	if (code === '') throw new CoreError('empty', 'code', 'code requires the characters of a cell’s code, got none');
	if (code.length > LONGEST_TYPED)
		throw new CoreError(
			'too-long',
			'code',
			`code requires at most ${LONGEST_TYPED} characters, got ${code.length}: is it one cell’s?`
		);
	const warnings: CodeWarning[] = [];
	const warn = (about: CodeWarning['code'], message: string) => warnings.push({ code: about, message });
	const strange = [...code].findIndex((c) => !/[0-9A-Z]/.test(c));
	if (strange >= 0) warn('character', `Character ${strange + 1}, “${code[strange]}”, is neither a digit nor a letter.`);
	if (code.length !== CODE_LENGTH) {
		warn('length', `It has ${code.length} characters; a cell’s code has ${CODE_LENGTH}. Nothing is read from it.`);
		return { fields: null, productionDate: null, chemistry: null, warnings };
	}
	const [product, letter] = [code[3]!, code[4]!];
	if (product !== 'C')
		warn('not-a-cell', `Character 4 is ${product}; of a cell it is C. It may be a module’s or a pack’s code.`);
	const chemistry = CHEMISTRY_BY_LETTER[letter] ?? null;
	if (chemistry === null)
		warn(
			'chemistry',
			OTHER_CHEMISTRIES[letter]
				? `By character 5, ${letter}, it is ${OTHER_CHEMISTRIES[letter]}: none that is dealt with here.`
				: `Character 5, ${letter}, stands for no chemistry known here.`
		);
	const fields: CellCodeFields = {
		maker: code.slice(0, 3),
		product,
		chemistryLetter: letter,
		model: code.slice(5, 7),
		trace: code.slice(7, 14),
		serial: code.slice(17),
		year: yearOf(code[14]!),
		month: monthOf(code[15]!),
		day: dayOf(code[16]!)
	};
	const productionDate = dateOf(fields);
	if (productionDate === null) warn('date', dateTrouble(code.slice(14, 17), fields));
	else if (fields.year! < RULE_YEAR)
		warn(
			'before-the-rule',
			`It claims ${fields.year}, but such codes are written since ${RULE_YEAR}: look at the label.`
		);
	else if (todayIso !== null && productionDate > todayIso.slice(0, 10))
		warn('in-the-future', `It claims ${productionDate}, which has not come yet.`);
	return { fields, productionDate, chemistry, warnings };
}

function dateOf({ year, month, day }: CellCodeFields): string | null {
	if (year === null || month === null || day === null) return null;
	const date = new Date(Date.UTC(year, month - 1, day));
	return date.getUTCMonth() === month - 1 ? date.toISOString().slice(0, 10) : null;
}

const LOOKS_LIKE: Record<string, string> = { I: '1', O: '0', Q: '0', U: 'V' };

function dateTrouble(letters: string, { year, month, day }: CellCodeFields): string {
	const names = ['year', 'month', 'day'];
	const place = [year, month, day].indexOf(null);
	if (place < 0) return `There is no day ${day} in month ${month} of ${year}.`;
	const letter = letters[place]!;
	const like = LOOKS_LIKE[letter];
	return `Character ${15 + place}, ${letter}, stands for no ${names[place]}${like ? `: ${letter} is not used; is it ${like}?` : '.'}`;
}
