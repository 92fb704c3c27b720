import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { followSamples, hearLive, type LiveSampleShown } from './live-line';

/** Stands for the browser's event source; tests speak through it. */
class FakeSource {
	static all: FakeSource[] = [];
	closed = false;
	private readonly heard = new Map<string, (event: { data: string }) => void>();
	constructor(readonly url: string) {
		FakeSource.all.push(this);
	}
	addEventListener(name: string, listener: (event: { data: string }) => void) {
		this.heard.set(name, listener);
	}
	say(name: string, data: unknown = null) {
		this.heard.get(name)?.({ data: JSON.stringify(data) });
	}
	close() {
		this.closed = true;
	}
}
const sample = (atMs: number): LiveSampleShown => ({
	atMs,
	phase: 0,
	voltageV: 3.3,
	currentA: -1,
	cellV: null,
	groupsV: null
});
/** Answers of the server to what was missed, in order. */
let missed: { samples: LiveSampleShown[]; more: boolean }[] = [];
let asked: string[] = [];
let stops: (() => void)[] = [];

beforeEach(() => {
	[missed, asked, stops, FakeSource.all] = [[], [], [], []];
	vi.stubGlobal('EventSource', FakeSource);
	vi.stubGlobal('document', Object.assign(new EventTarget(), { visibilityState: 'visible' }));
	vi.stubGlobal('navigator', {});
	vi.stubGlobal('fetch', async (url: string) => {
		asked.push(url);
		return new Response(JSON.stringify(missed.shift() ?? { samples: [], more: false }));
	});
});
afterEach(() => {
	stops.forEach((stop) => stop());
	vi.unstubAllGlobals();
});

const open = () => FakeSource.all.filter((s) => !s.closed);
function follow(id: number, afterMs: number) {
	const seen: number[] = [];
	const lines: boolean[] = [];
	const stop = followSamples(id, afterMs, {
		onSamples: (samples) => seen.push(...samples.map((s) => s.atMs)),
		onLine: (isOpen) => lines.push(isOpen)
	});
	stops.push(stop);
	return { seen, lines, stop, source: open()[0] };
}
function hear() {
	const views: unknown[] = [];
	const stop = hearLive((view) => views.push(view));
	stops.push(stop);
	return { views, stop };
}
const settled = () => new Promise((done) => setTimeout(done, 5));

describe('following a live run', () => {
	it('hands on samples as they come, each once', () => {
		const { seen, source } = follow(7, 10);
		source!.say('samples', [sample(5), sample(10), sample(20)]);
		source!.say('samples', [sample(20), sample(30)]);
		expect(seen).toEqual([20, 30]);
		expect(source!.url).toBe('/api/v1/live-runs/stream?samples=7');
	});
	it('fetches what it missed while the line was broken, however much', async () => {
		const { seen, lines, source } = follow(7, 0);
		source!.say('open');
		await settled();
		source!.say('samples', [sample(10)]);
		source!.say('error');
		missed = [
			{ samples: [sample(20)], more: true },
			{ samples: [sample(30)], more: false }
		];
		source!.say('open');
		await settled();
		source!.say('samples', [sample(30), sample(40)]);
		expect(seen).toEqual([10, 20, 30, 40]);
		expect(lines).toEqual([true, false, true]);
		expect(asked.map((url) => url.split('?')[1])).toEqual(['afterMs=0', 'afterMs=10', 'afterMs=20']);
	});
	it('lets no fresh sample pass those still being fetched', async () => {
		const { seen, source } = follow(7, 0);
		missed = [{ samples: [sample(10), sample(20)], more: false }];
		source!.say('open');
		source!.say('samples', [sample(20), sample(30)]);
		expect(seen).toEqual([]);
		await settled();
		expect(seen).toEqual([10, 20, 30]);
	});
});

describe('the line', () => {
	it('is one for a whole page, and tells every listener each view', () => {
		const first = hear();
		const second = hear();
		follow(7, 0);
		expect(open()).toHaveLength(1);
		open()[0]!.say('view', { id: 3 });
		expect([first.views, second.views]).toEqual([[{ id: 3 }], [{ id: 3 }]]);
	});
	it('changes with the run that is shown, and back', () => {
		hear();
		expect(open()[0]!.url).toBe('/api/v1/live-runs/stream');
		const { stop } = follow(7, 0);
		follow(8, 0);
		stop();
		expect(open().map((s) => s.url)).toEqual(['/api/v1/live-runs/stream?samples=8']);
	});
	it('is closed when nobody listens', () => {
		const { stop } = hear();
		const { stop: leave } = follow(7, 0);
		stop();
		expect(open()).toHaveLength(1);
		leave();
		expect(open()).toHaveLength(0);
	});
});
