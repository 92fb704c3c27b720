/**
 * What is typed or chosen stays: what came before the page listened is told to it once it does, and what stands in a form unsent is there
 * again after a reload, in this tab, until the form is taken. Fields of the tray have a memory of their own.
 */

type Control = HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement;
/** What was typed, and what stood there before: another's newer figure is never written over. */
interface Draft {
	typed: string;
	before: string;
}
type Drafts = Record<string, Draft>;

const STORE = 'typed';
/** Fields that appear only when another one is chosen are filled in the next of so many rounds. */
const ROUNDS = 4;
const ROUND_MS = 120;
/** Names the framework makes up, which are others after a reload. */
const MADE_UP = /^[cs]\d+(-|$)/;
const NEVER = new Set(['password', 'file', 'hidden', 'submit', 'button']);

const isControl = (target: EventTarget | null): target is Control =>
	target instanceof HTMLInputElement
		? !NEVER.has(target.type)
		: target instanceof HTMLSelectElement || target instanceof HTMLTextAreaElement;

const isTicked = (control: Control): control is HTMLInputElement =>
	control instanceof HTMLInputElement && (control.type === 'checkbox' || control.type === 'radio');

const valueOf = (control: Control): string => (isTicked(control) ? String(control.checked) : control.value);

/** What the page itself has put there. */
function givenTo(control: Control): string {
	if (isTicked(control)) return String(control.defaultChecked);
	if (!(control instanceof HTMLSelectElement)) return control.defaultValue;
	const options = [...control.options];
	return (options.find((o) => o.defaultSelected) ?? options[0])?.value ?? '';
}

/** Fills a field as a hand does. A radio is only chosen: the one that is left hears of it by the other. */
function putIn(control: Control, value: string): void {
	if (control instanceof HTMLInputElement && control.type === 'radio' && value !== 'true') return;
	if (isTicked(control)) control.checked = value === 'true';
	else control.value = value;
	control.dispatchEvent(new Event('input', { bubbles: true }));
	control.dispatchEvent(new Event('change', { bubbles: true }));
	// A field that is kept when it is left has been left already.
	if (document.activeElement !== control) control.dispatchEvent(new FocusEvent('focusout', { bubbles: true }));
}

/** Tells a page that has just begun to listen what was typed before: app.html has marked the fields. */
function tellTyped(root: Document): void {
	for (const control of root.querySelectorAll<HTMLElement>('[data-early]')) {
		const { early = '' } = control.dataset;
		delete control.dataset.early;
		if (isControl(control)) putIn(control, early);
	}
}

const read = (): Drafts => {
	try {
		return JSON.parse(sessionStorage.getItem(STORE) ?? '{}') as Drafts;
	} catch {
		return {};
	}
};
function write(drafts: Drafts): void {
	try {
		sessionStorage.setItem(STORE, JSON.stringify(drafts));
	} catch {
		// A full or forbidden store: nothing is lost that is not on the page.
	}
}

/** A form by its page and its name or place. */
function formKey(form: HTMLFormElement): string {
	const name = form.getAttribute('aria-label') ?? form.getAttribute('action');
	const place = [...document.forms].indexOf(form);
	return `${location.pathname}${location.search}|${name ?? place}|`;
}

/** A field by its name or what it is called, and how many of that name are before it. */
function fieldName(control: Control): string {
	const called = control.labels?.[0]?.textContent ?? control.getAttribute('aria-label') ?? '';
	const ticked = isTicked(control) ? `=${control.value}` : '';
	const isNamed = control.name !== '' && !MADE_UP.test(control.name);
	return `${isNamed ? control.name : called.replace(/\s+/g, ' ').trim()}${ticked}`;
}

function keysOf(form: HTMLFormElement): Map<Control, string> {
	const seen = new Map<string, number>();
	const own = formKey(form);
	return new Map(
		[...form.elements].filter(isControl).map((control) => {
			const name = fieldName(control);
			const n = seen.get(name) ?? 0;
			seen.set(name, n + 1);
			return [control, `${own}${name}|${n}`];
		})
	);
}

/** Forms that were sent and not answered yet. */
let sent: string[] = [];

/** What was sent has been taken: its drafts are over. */
export function typedIsTaken(): void {
	const [over, drafts] = [sent, read()];
	sent = [];
	if (over.length)
		write(Object.fromEntries(Object.entries(drafts).filter(([key]) => !over.some((form) => key.startsWith(form)))));
}

/** Puts back what stood unsent in the forms of this page. @returns whether a field is still missing */
function putBack(): boolean {
	const drafts = read();
	const here = `${location.pathname}${location.search}|`;
	const open = new Map(Object.entries(drafts).filter(([key]) => key.startsWith(here)));
	for (const form of document.querySelectorAll<HTMLFormElement>('main form'))
		for (const [control, key] of keysOf(form)) {
			const draft = open.get(key);
			if (!draft) continue;
			open.delete(key);
			if (valueOf(control) === draft.typed || valueOf(control) !== draft.before) continue;
			putIn(control, draft.typed);
		}
	return open.size > 0;
}

/** Puts back what stood unsent in the forms of the page that was just opened. */
export async function putTypedBack(): Promise<void> {
	for (let round = 0; round < ROUNDS && putBack(); round++) await new Promise((done) => setTimeout(done, ROUND_MS));
}

/**
 * Follows what is typed in the forms of a page, and tells it what was typed before it listened.
 * @returns what ends it
 */
export function keepTyped(root: Document): () => void {
	/** What stood in a field when a hand came to it. */
	const before = new WeakMap<Control, string>();
	const come = ({ target }: Event) => {
		if (isControl(target) && !before.has(target)) before.set(target, valueOf(target));
	};
	const typed = ({ target, isTrusted }: Event) => {
		if (!isTrusted || !isControl(target) || !target.form || !target.closest('main')) return;
		const keys = keysOf(target.form);
		const drafts = read();
		// A radio that is chosen takes the others of its group along.
		const touched = [...keys].filter(
			([c]) => c === target || (isTicked(target) && target.name && c.name === target.name)
		);
		for (const [control, key] of touched) {
			const stood = drafts[key]?.before ?? before.get(control) ?? givenTo(control);
			if (valueOf(control) === stood) delete drafts[key];
			else drafts[key] = { typed: valueOf(control), before: stood };
		}
		write(drafts);
	};
	const submitted = ({ target }: Event) => {
		if (target instanceof HTMLFormElement) sent.push(formKey(target));
	};
	root.addEventListener('focusin', come, true);
	root.addEventListener('input', typed, true);
	root.addEventListener('change', typed, true);
	root.addEventListener('submit', submitted, true);
	tellTyped(root);
	return () => {
		root.removeEventListener('focusin', come, true);
		root.removeEventListener('input', typed, true);
		root.removeEventListener('change', typed, true);
		root.removeEventListener('submit', submitted, true);
	};
}
