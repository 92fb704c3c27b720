/**
 * Holds back the second click of a double tap on a button that sends something: one tap, one record. Keys are never held back; a button that
 * is meant to be pressed again and again says so (`data-often`).
 * @returns what ends it
 */
export function onceATap(root: Document): () => void {
	const hold = (event: MouseEvent) => {
		const button = event.target instanceof Element ? event.target.closest('button') : null;
		if (!button || event.detail < 2 || !isSending(button)) return;
		event.preventDefault();
		event.stopImmediatePropagation();
	};
	root.addEventListener('click', hold, true);
	return () => root.removeEventListener('click', hold, true);
}

/** A button that sends its form, or that is the main one of its place. */
const isSending = (button: HTMLButtonElement): boolean =>
	!('often' in button.dataset) &&
	(button.classList.contains('btn-primary') || (button.form !== null && button.type === 'submit'));
