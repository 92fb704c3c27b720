import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { askWorlds } from './ask-worlds';
import { coveragePlot, coverageTable, detectionTable, reliabilityTable } from './report';
import { coverages, detections, reliabilities } from './summary';

/** `npm run truth`: judges seeded worlds that differ from the model, and says how often what is stated is true. */
function argument(name: string, usual: number): number {
	const at = process.argv.indexOf(name);
	return at > 0 ? Number(process.argv[at + 1]) : usual;
}

const worlds = argument('--worlds', 600);
const seed = argument('--seed', 1);
const onlyAt = process.argv.indexOf('--only');
const only = onlyAt > 0 ? process.argv[onlyAt + 1]!.split(',') : undefined;
const begunMs = Date.now();
const told = (done: number) => {
	if (done % 20 === 0 || done === worlds) {
		const minutes = (Date.now() - begunMs) / 60_000;
		process.stderr.write(`\r${done} of ${worlds} worlds, ${minutes.toFixed(1)} min `);
	}
};
const answers = askWorlds(worlds, seed, told, only);
process.stderr.write('\n');
const held = coverages(answers);
const text = [
	coverageTable(held),
	'',
	...reliabilities(answers).flatMap((r) => [reliabilityTable(r), '']),
	detectionTable(detections(answers)),
	''
].join('\n');
console.log(text);
const PAGE = join('docs', 'truth.md');
const FIGURES = /(<!-- figures -->)[\s\S]*(<!-- end of figures -->)/;
if (process.argv.includes('--write')) {
	const figures = `$1\n${worlds} worlds, seed ${seed}.\n\n${text}$2`;
	writeFileSync(PAGE, readFileSync(PAGE, 'utf8').replace(FIGURES, figures));
	writeFileSync(join('docs', 'truth-coverage.svg'), coveragePlot(held));
}
