import { readFileSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { Worker, isMainThread, parentPort, workerData } from 'node:worker_threads';
import type { Answer } from './answer';
import { askWorlds } from './ask-worlds';
import { coveragePlot, coverageTable, detectionTable, reliabilityTable, strataTable } from './report';
import { coverages, detections, reliabilities } from './summary';

/** What takes long is asked of every other world. */
const COSTLY_EVERY = 2;

/** `npm run truth`: judges seeded worlds that differ from the model, and says how often what is stated is true. */
interface Asked {
	worlds: number;
	seed: number;
	only: string[] | undefined;
	first: number;
	of: number;
}

function argument(name: string, usual: number): number {
	const at = process.argv.indexOf(name);
	return at > 0 ? Number(process.argv[at + 1]) : usual;
}

/** One thread's share of the worlds; told after each how many of them it has done. */
const askOnThread = (asked: Asked, onWorld: (done: number) => void): Promise<Answer[]> =>
	new Promise((resolve, reject) => {
		const worker = new Worker(new URL(import.meta.url), { workerData: asked });
		worker.on('message', (message: number | Answer[]) =>
			typeof message === 'number' ? onWorld(message) : resolve(message)
		);
		worker.on('error', reject);
	});

async function main(): Promise<void> {
	const [worlds, seed] = [argument('--worlds', 600), argument('--seed', 1)];
	const onlyAt = process.argv.indexOf('--only');
	const only = onlyAt > 0 ? process.argv[onlyAt + 1]!.split(',') : undefined;
	const begunMs = Date.now();
	const threads = Math.max(1, Math.min(4, availableParallelism()));
	const done = Array<number>(threads).fill(0);
	const told = () => {
		const all = done.reduce((a, b) => a + b, 0);
		const minutes = (Date.now() - begunMs) / 60_000;
		if (all % 20 === 0 || all === worlds)
			process.stderr.write(`\r${all} of ${worlds} worlds, ${minutes.toFixed(1)} min `);
	};
	const parts = await Promise.all(
		done.map((_, first) =>
			askOnThread({ worlds, seed, only, first, of: threads }, () => {
				done[first]!++;
				told();
			})
		)
	);
	process.stderr.write('\n');
	report(parts.flat(), { worlds, seed });
}

function report(answers: readonly Answer[], { worlds, seed }: { worlds: number; seed: number }): void {
	const held = coverages(answers);
	const text = [
		'### In ordinary conditions',
		'',
		coverageTable(held.filter((c) => c.stratum === null)),
		'',
		'### Where worlds differ more, or people err',
		'',
		strataTable(held.filter((c) => c.stratum !== null)),
		'',
		'### Stated chances, and what is named',
		'',
		...reliabilities(answers).flatMap((r) => [reliabilityTable(r), '']),
		detectionTable(detections(answers)),
		''
	].join('\n');
	console.log(text);
	if (!process.argv.includes('--write')) return;
	const page = join('docs', 'truth.md');
	const figures = `$1\n${worlds} worlds, seed ${seed}.\n\n${text}$2`;
	writeFileSync(
		page,
		readFileSync(page, 'utf8').replace(/(<!-- figures -->)[\s\S]*(<!-- end of figures -->)/, figures)
	);
	writeFileSync(join('docs', 'truth-coverage.svg'), coveragePlot(held));
}

if (isMainThread) await main();
else {
	const { worlds, seed, only, first, of } = workerData as Asked;
	parentPort!.postMessage(
		askWorlds(worlds, seed, (done) => parentPort!.postMessage(done), only, { first, of }, COSTLY_EVERY)
	);
}
