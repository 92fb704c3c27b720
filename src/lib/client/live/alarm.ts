import { toast } from 'svelte-sonner';

/** Asks the browser for leave to notify; call it from a click. @returns whether it may */
export async function askToNotify(): Promise<boolean> {
	if (!('Notification' in window)) return false;
	if (Notification.permission === 'default') await Notification.requestPermission();
	return Notification.permission === 'granted';
}

/** Tells a person that they are needed: in the page, in its title, and by the browser where it may. @param open shows where */
export function alarm(what: string, message: string, open: () => void): void {
	toast.warning(`${what}: ${message}`, { duration: 60_000, action: { label: 'Open', onClick: open } });
	if (!document.title.startsWith('(!)')) document.title = `(!) ${document.title}`;
	if ('Notification' in window && Notification.permission === 'granted')
		new Notification(what, { body: message, requireInteraction: true, tag: `${what}/${message}` }).onclick = () => {
			window.focus();
			open();
		};
}
