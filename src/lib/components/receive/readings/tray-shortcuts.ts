import { tinykeys } from 'tinykeys';

/** A key pressed in a field that is not the entry's own types there, and is no shortcut. */
const isOtherField = (target: EventTarget | null): boolean =>
	target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) && target.id !== 'entry-field';

/** The keys of the entry down the tray. @returns what ends them */
export function trayShortcuts(keys: { undo: () => void; switchQuantity: () => void; help: () => void }): () => void {
	const outsideFields = (act: () => void) => (event: KeyboardEvent) => {
		if (isOtherField(event.target)) return;
		event.preventDefault();
		act();
	};
	return tinykeys(window, {
		'$mod+z': (event) => {
			event.preventDefault();
			keys.undo();
		},
		r: outsideFields(keys.switchQuantity),
		'Shift+?': outsideFields(keys.help)
	});
}
