import { api } from '../api/api';
import { watchTurn } from './live-turn';

export interface LiveSampleShown {
	atMs: number;
	phase: number;
	voltageV: number | null;
	currentA: number;
	cellV: number | null;
	groupsV: number[] | null;
}

/** What a page hears of the one run it shows. */
interface Followed {
	onSamples(samples: LiveSampleShown[]): void;
	/** The line to the server is there, or broken and being tried again. */
	onLine(open: boolean): void;
}

/** The run a page shows, with the last sample it has. */
interface Follower extends Followed {
	id: number;
	lastMs: number;
	/** Came while missed samples were being fetched; null when none are. */
	held: LiveSampleShown[] | null;
}

type ViewListener<View> = (view: View) => void;

/**
 * One line a tab carries everything live: browsers keep few connections to one host, and a workshop has many runs. It is open
 * while anybody listens and it is the tab's turn.
 */
const views = new Set<ViewListener<never>>();
let follower: Follower | null = null;
let source: EventSource | null = null;
let openUrl: string | null = null;
let isMyTurn: (() => boolean) | null = null;

/** Hears the view of every live run, now and at each change. @returns how to stop */
export function hearLive<View>(listener: ViewListener<View>): () => void {
	views.add(listener);
	settle();
	return () => {
		views.delete(listener);
		settle();
	};
}

/**
 * Follows the samples of one run, the one the page shows. After a broken line those that were missed are fetched first, so that
 * none is left out. @param afterMs the last sample already known @returns how to stop
 */
export function followSamples(id: number, afterMs: number, followed: Followed): () => void {
	const own: Follower = { id, lastMs: afterMs, held: null, ...followed };
	follower = own;
	settle();
	return () => {
		if (follower === own) follower = null;
		settle();
	};
}

/** Opens, changes or closes the line to what is listened to now. */
function settle(): void {
	const wanted = follower ? `/api/v1/live-runs/stream?samples=${follower.id}` : '/api/v1/live-runs/stream';
	isMyTurn ??= watchTurn({ page: document, locks: navigator.locks }, settle);
	const url = (follower || views.size) && isMyTurn() ? wanted : null;
	if (url === openUrl) return;
	source?.close();
	source = null;
	openUrl = url;
	if (url !== null) source = openLine(url);
}

function openLine(url: string): EventSource {
	const line = new EventSource(url);
	line.addEventListener('open', () => {
		follower?.onLine(true);
		if (follower) void catchUp(follower);
	});
	line.addEventListener('error', () => follower?.onLine(false));
	line.addEventListener('samples', (event) => {
		const samples = JSON.parse(event.data as string) as LiveSampleShown[];
		if (follower?.held) follower.held.push(...samples);
		else if (follower) take(follower, samples);
	});
	line.addEventListener('view', (event) => {
		const view = JSON.parse(event.data as string) as never;
		views.forEach((listener) => listener(view));
	});
	return line;
}

function take(by: Follower, samples: LiveSampleShown[]): void {
	const fresh = samples.filter((s) => s.atMs > by.lastMs);
	if (fresh.length === 0) return;
	by.lastMs = fresh[fresh.length - 1]!.atMs;
	by.onSamples(fresh);
}

/** Fetches what was missed; what comes meanwhile waits its turn. */
async function catchUp(by: Follower): Promise<void> {
	by.held ??= [];
	try {
		let more = true;
		while (more && follower === by) {
			const missed = await api.get(`live-runs/${by.id}/samples`, { afterMs: by.lastMs });
			take(by, missed.samples);
			more = missed.more;
		}
	} catch {
		// The line will break too, and be opened again.
	}
	const held = by.held ?? [];
	by.held = null;
	take(by, held);
}
