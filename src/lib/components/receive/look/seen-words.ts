import type { Answer, Seen } from '$lib/core/picture';

/** What is looked at, and what is seen where it is good and where it is not. An answer names the thing: never yes or no. */
export const SEEN: Record<Seen, { what: string } & Record<Exclude<Answer, 'unsure'>, string>> = {
	leak: { what: 'Case', good: 'dry', bad: 'wet or crusted' },
	smell: { what: 'Smell', good: 'none', bad: 'smells' },
	bulge: { what: 'Sides', good: 'flat', bad: 'bulged' },
	vent: { what: 'Vent', good: 'closed', bad: 'open or pressed out' },
	dent: { what: 'Dents', good: 'none', bad: 'dented' },
	terminals: { what: 'Terminals', good: 'square, clean', bad: 'crooked or dirty' },
	thread: { what: 'Thread, or stud and weld', good: 'sound', bad: 'worn or loose' },
	sleeve: { what: 'Sleeve', good: 'whole', bad: 'torn' },
	heat: { what: 'Warmth by hand (optional)', good: 'as the others', bad: 'hotter' }
};
export const answerWords = (key: Seen, value: Answer) => (value === 'unsure' ? 'not sure' : SEEN[key][value]);
