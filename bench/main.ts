import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import Papa from 'papaparse';
import { analyseRun, splitChannels } from '$lib/core/test/log';
import { matchCells } from '$lib/core/match/groups';
import { normalDraw, seededRandom } from '$lib/core/foundation/statistics';

import { createVessels, moveCharge, usableAh, voltsOf, whoStops } from '$lib/core/balance/vessels';
import { brokenBounds, medianMs, report } from './report';
import { simulationSpeed } from './simulation';

/** `npm run bench`: ratios against a baseline measured in the same run. Exits 1 when a stated bound is broken. */
function logImport(): void {
	const rows = 200_000;
	const text = [
		'time_s,voltage_V,current_A',
		...Array.from({ length: rows }, (_, i) => `${i},${(3.35 - i / 1e6).toFixed(4)},${(-20 + (i % 7) / 100).toFixed(2)}`)
	].join('\n');
	const bare = medianMs(() => void Papa.parse(text, { delimiter: ',' }));
	const full = medianMs(() => void analyseRun(text, { ratedAh: 230, bridgeGaps: false, cutoffV: null }));
	report(
		`import of a log of ${rows} rows against a bare pass of the CSV parser`,
		`${full.toFixed(0)} ms / ${bare.toFixed(0)} ms = ${(full / bare).toFixed(2)}`,
		full / bare <= 2,
		'ratio ≤ 2'
	);
}

/** A log of a million rows: analysed, and taken apart by its channels, as a worker does it. */
function largeLog(): void {
	const rows = 1_000_000;
	const text = [
		'channel,time_s,voltage_V,current_A',
		...Array.from(
			{ length: rows },
			(_, i) => `${1 + (i % 4)},${Math.floor(i / 4)},${(3.35 - i / 5e6).toFixed(4)},${(-20 + (i % 7) / 100).toFixed(2)}`
		)
	].join('\n');
	const timed = (work: () => unknown) => {
		const start = performance.now();
		work();
		return performance.now() - start;
	};
	const bare = timed(() => Papa.parse(text, { delimiter: ',' }));
	let channels = 0;
	const split = timed(() => (channels = splitChannels(text).length));
	report(
		`a log of ${rows} rows taken apart into its four channels and written anew, against a bare pass of the CSV parser`,
		`${split.toFixed(0)} ms / ${bare.toFixed(0)} ms = ${(split / bare).toFixed(2)}; ${channels} channels`,
		split / bare <= 5 && channels === 4,
		'ratio ≤ 5'
	);
	const one = text.slice(0, text.indexOf('\n') + 1) + text.slice(text.indexOf('\n') + 1).replace(/^\d,/gm, '1,');
	const whole = timed(() => analyseRun(one, { ratedAh: 230, bridgeGaps: false, cutoffV: null }));
	report(
		`a log of ${rows} rows of one channel analysed, against the same`,
		`${whole.toFixed(0)} ms / ${bare.toFixed(0)} ms = ${(whole / bare).toFixed(2)}`,
		whole / bare <= 3,
		'ratio ≤ 3'
	);
}

/** Scripts the home page loads before anything is clicked, gzipped. */
function firstPageScript(): void {
	const client = join('build', 'client');
	const manifest = JSON.parse(
		readFileSync(join('.svelte-kit', 'output', 'client', '.vite', 'manifest.json'), 'utf8')
	) as Record<string, { file: string; imports?: string[]; name?: string; src?: string }>;
	const seen = new Set<string>();
	const visit = (key: string) => {
		if (seen.has(key)) return;
		seen.add(key);
		manifest[key]!.imports?.forEach(visit);
	};
	// Nodes 0 and 1 are layout and error page; the home page is found by its import of this file's own route.
	const home = readdirSync('src/routes').includes('+page.svelte') ? homeNode() : 0;
	for (const [key, chunk] of Object.entries(manifest))
		if (
			/client\/(entry|runtime)|entry\/(app|start)/.test(key) ||
			chunk.name === 'entry/app' ||
			chunk.name === 'entry/start' ||
			[0, 1, home].some((n) => chunk.name === `nodes/${n}`)
		)
			visit(key);
	const bytes = [...seen]
		.map((key) => manifest[key]!.file)
		.filter((f) => f.endsWith('.js'))
		.reduce((sum, file) => sum + gzipSync(readFileSync(join(client, file))).length, 0);
	report(
		`script of the first page (${seen.size} files, gzipped)`,
		`${(bytes / 1000).toFixed(1)} kB`,
		bytes > 20_000 && bytes <= 150_000,
		'≤ 150 kB'
	);
}

function homeNode(): number {
	const app = readFileSync(join('.svelte-kit', 'generated', 'client-optimized', 'app.js'), 'utf8');
	return Number(/"\/": \[~?(\d+)/.exec(app)![1]);
}

/** What a frame of the vessels computes: one step with a balancer, volts, who would stop it, what it gives. */
function vessels(): void {
	const random = seededRandom(2);
	const capacities = Array.from({ length: 16 }, () => normalDraw(random, 280, 4));
	let state = createVessels(
		capacities,
		capacities.map(() => 0.4 + 0.2 * random())
	);
	let direction = 1;
	const times = Array.from({ length: 2000 }, () => {
		const start = performance.now();
		const moved = moveCharge(state, direction * 1.5, 'LFP', { activeA: 5, triggerV: 0.01 }, 0.03);
		state = moved.vessels;
		if (moved.stop) direction = -direction;
		voltsOf(state, 'LFP');
		whoStops(state);
		usableAh(state);
		return performance.now() - start;
	}).sort((a, b) => a - b);
	const p95 = times[Math.floor(0.95 * times.length)]!;
	report(
		'a frame of sixteen vessels, computed (p95; the drawing is the browser’s)',
		`${p95.toFixed(3)} ms`,
		p95 <= 8,
		'≤ 8 ms'
	);
}

function matching(): void {
	const random = seededRandom(1);
	const cells = Array.from({ length: 64 }, (_, i) => ({
		id: i,
		capacityAh: Number(normalDraw(random, 280, 2).toFixed(1))
	}));
	const run = (parallel: number) =>
		matchCells({ series: 16, parallel, cells }, { timeLimitS: 5, clockS: () => performance.now() / 1000 });
	for (const parallel of [1, 2, 3]) {
		const result = run(parallel);
		const gap = result.upperBoundAh / result.smallestGroupAh - 1;
		report(
			`16S${parallel}P from 64 cells: smallest group against its upper bound`,
			`${result.smallestGroupAh.toFixed(1)} of ${result.upperBoundAh.toFixed(1)} Ah, gap ${(gap * 100).toFixed(3)} %${result.proven ? ', proven' : ''}`,
			gap <= 0.001,
			'gap ≤ 0.1 %'
		);
	}
}

logImport();
largeLog();
firstPageScript();
vessels();
matching();
simulationSpeed();
process.exit(brokenBounds() ? 1 : 0);
