import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { followLive, type LiveSampleShown } from './live-follow';

/** Stands for the browser's event source; tests speak through it. */
class FakeSource {
	static last: FakeSource;
	closed = false;
	private readonly heard = new Map<string, (event: { data: string }) => void>();
	constructor(readonly url: string) {
		FakeSource.last = this;
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
let missed: LiveSampleShown[] = [];
let asked: string[] = [];

beforeEach(() => {
	missed = [];
	asked = [];
	vi.stubGlobal('EventSource', FakeSource);
	vi.stubGlobal('fetch', async (url: string) => {
		asked.push(url);
		return new Response(JSON.stringify({ samples: missed }));
	});
});
afterEach(() => vi.unstubAllGlobals());

function follow(afterMs: number) {
	const seen: number[] = [];
	const lines: boolean[] = [];
	const views: unknown[] = [];
	const stop = followLive<{ state: string }>(7, afterMs, {
		onSamples: (samples) => seen.push(...samples.map((s) => s.atMs)),
		onView: (view) => views.push(view),
		onLine: (open) => lines.push(open)
	});
	return { seen, lines, views, stop, source: FakeSource.last };
}
const settled = () => new Promise((done) => setTimeout(done, 0));

describe('following a live run', () => {
	it('hands on samples and views as they come, each sample once', () => {
		const { seen, views, source } = follow(10);
		source.say('samples', [sample(5), sample(10), sample(20)]);
		source.say('samples', [sample(20), sample(30)]);
		source.say('view', { state: 'running' });
		expect(seen).toEqual([20, 30]);
		expect(views).toEqual([{ state: 'running' }]);
		expect(source.url).toBe('/api/v1/live-runs/7/stream');
	});
	it('fetches what it missed while the line was broken', async () => {
		const { seen, lines, source } = follow(0);
		source.say('open');
		await settled();
		source.say('samples', [sample(10)]);
		source.say('error');
		missed = [sample(20), sample(30)];
		source.say('open');
		await settled();
		source.say('samples', [sample(30), sample(40)]);
		expect(seen).toEqual([10, 20, 30, 40]);
		expect(lines).toEqual([true, false, true]);
		expect(asked[1]).toContain('afterMs=10');
	});
	it('stops when told', () => {
		const { stop, source } = follow(0);
		stop();
		expect(source.closed).toBe(true);
	});
});
