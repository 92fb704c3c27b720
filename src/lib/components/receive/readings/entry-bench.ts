import { vi } from 'vitest';
import { TrayEntry } from './entry.svelte';
import type { EntryCell } from './entry-cell';
import type { MemoryStore } from './entry-memory';

/** A tray of four cells, a server that stores or refuses, and what the page would be told. */
export function bench(
	answer: (body: { rawText: string }) => Response | Promise<Response> = stored,
	memory: MemoryStore | undefined = undefined
) {
	const cells: EntryCell[] = [1, 2, 3, 4].map((id) => ({ id, label: `E-0${id}`, readings: {} }));
	const sent: { cellId: number; quantity: string; rawText: string; clientKey: string }[] = [];
	const removed: number[] = [];
	const refusals: string[] = [];
	let units: 'metric' | 'us' = 'metric';
	vi.stubGlobal('fetch', async (_url: string, init: RequestInit) => {
		const body = JSON.parse(init.body as string) as (typeof sent)[number];
		sent.push(body);
		return answer(body);
	});
	const hooks: ConstructorParameters<typeof TrayEntry>[0] = {
		cells: () => cells,
		chemistry: () => 'LFP',
		units: () => units,
		expected: () => ({ acResistanceMohm: 0.18, massKg: 4 }),
		onStored: () => undefined,
		remove: async (id) => void removed.push(id),
		onRefused: (message) => refusals.push(message)
	};
	const entry = new TrayEntry(hooks, undefined, memory);
	entry.start();
	const type = (...texts: string[]) =>
		texts.forEach((text) => {
			entry.text = text;
			entry.enter();
		});
	const shown = () => cells.map((c) => entry.valueOf(c, entry.quantity));
	return { entry, cells, sent, removed, refusals, type, shown, useUs: () => (units = 'us') };
}
let nextId = 100;
export const stored = () => new Response(JSON.stringify({ id: nextId++, version: 1 }), { status: 201 });
export const settled = () => vi.advanceTimersByTimeAsync(20);

/** Timers that do not run by themselves, and a browser that keeps drafts. */
export function wakeBrowser(): void {
	vi.useFakeTimers();
	const kept = new Map<string, string>();
	vi.stubGlobal('localStorage', {
		getItem: (key: string) => kept.get(key) ?? null,
		setItem: (key: string, value: string) => kept.set(key, value),
		removeItem: (key: string) => kept.delete(key)
	});
}
export async function leaveBrowser(): Promise<void> {
	// What a test left on its way must arrive while its server still stands.
	await settled();
	vi.useRealTimers();
	vi.unstubAllGlobals();
}
