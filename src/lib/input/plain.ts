import { InputError } from './validate';

/** What a parsed JSON value may be at most before anything looks at it more closely. */
export interface PlainLimits {
	/** Levels of lists and objects within each other. */
	depth: number;
	/** Fields of one object, and of all objects together. */
	fields: number;
	allFields: number;
	/** Entries of one list. */
	entries: number;
	/** Characters of one text. */
	text: number;
}

const USUAL: PlainLimits = { depth: 16, fields: 200, allFields: 200_000, entries: 300_000, text: 20_000 };

/** Names that mean something to the language itself. */
const NOT_NAMES = new Set(['__proto__', 'constructor', 'prototype']);

/**
 * Refuses a parsed JSON value that nobody would send in earnest: nested too deep, with far too many fields or far too long
 * texts, with names the language itself uses, or with text that is no text. One walk, without recursion.
 * @throws InputError by path
 */
export function refuseHostile(value: unknown, limits: Partial<PlainLimits> = {}): void {
	const most = { ...USUAL, ...limits };
	const refuse = (path: string, message: string) => new InputError([{ path: path.slice(0, 200), message }]);
	const open: { value: unknown; path: string; depth: number }[] = [{ value, path: '', depth: 0 }];
	let fields = 0;
	const checkText = (text: string, path: string) => {
		if (text.length > most.text) throw refuse(path, `takes at most ${most.text} characters`);
		if (!text.isWellFormed()) throw refuse(path, 'holds half a character: send text in UTF-8');
	};
	for (let next = open.pop(); next; next = open.pop()) {
		const { value: own, path, depth } = next;
		if (typeof own === 'string') checkText(own, path);
		if (typeof own !== 'object' || own === null) continue;
		if (depth >= most.depth) throw refuse(path, `is nested deeper than ${most.depth} levels`);
		const within = (name: string | number) => (path ? `${path}.${name}` : String(name));
		if (Array.isArray(own)) {
			if (own.length > most.entries) throw refuse(path, `takes at most ${most.entries} entries`);
			own.forEach((entry: unknown, i) => {
				// Long lists of numbers are the rule; they need no look of their own.
				if (typeof entry === 'object' || typeof entry === 'string')
					open.push({ value: entry, path: within(i), depth: depth + 1 });
			});
			continue;
		}
		const names = Object.keys(own);
		fields += names.length;
		if (names.length > most.fields) throw refuse(path, `takes at most ${most.fields} fields`);
		if (fields > most.allFields) throw refuse('', `The body takes at most ${most.allFields} fields`);
		for (const name of names) {
			if (NOT_NAMES.has(name)) throw refuse(within(name), 'is no field');
			checkText(name, path);
			open.push({ value: (own as Record<string, unknown>)[name], path: within(name), depth: depth + 1 });
		}
	}
}
