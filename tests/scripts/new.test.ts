import { spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import ts from 'typescript';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';

let house: string;
/** What the command reads and changes: as it stands today, so that a place it looks for is missed here and not by a person. */
const TOUCHED = [
	'scripts',
	'src/lib/core/serve/verdicts',
	'src/lib/server/db/migrations',
	'src/lib/server/records/registry.ts'
];
beforeAll(() => {
	house = mkdtempSync(join(tmpdir(), 'kind-ember-house-'));
	for (const path of TOUCHED) cpSync(path, join(house, path), { recursive: true });
});
afterAll(() => rmSync(house, { recursive: true }));

const make = (...words: string[]) => {
	const { status, stdout, stderr } = spawnSync(process.execPath, [join(house, 'scripts', 'new.mjs'), ...words], {
		encoding: 'utf8'
	});
	return { status, told: stdout + stderr };
};
const read = (path: string) => readFileSync(join(house, path), 'utf8');
/** Mistakes of grammar in a TypeScript file; types need the whole house. */
const mistakes = (path: string) =>
	ts
		.transpileModule(read(path), { reportDiagnostics: true, compilerOptions: { experimentalDecorators: true } })
		.diagnostics!.map((d) => ts.flattenDiagnosticMessageText(d.messageText, ' '));

describe('npm run new', () => {
	it('a verdict is defined, said by its stage and described', () => {
		expect(make('verdict', 'room-drift', '--stage', 'serve')).toMatchObject({ status: 0 });
		const definition = read('src/lib/core/serve/verdicts/room-drift.ts');
		expect(definition).toContain("'room-drift': verdict<");
		const index = read('src/lib/core/serve/verdicts/index.ts');
		expect(index).toMatch(/import \{ ROOM_DRIFT_VERDICTS \} from '\.\/room-drift';/);
		expect(index).toMatch(/SERVE_VERDICTS = \{\n\t\.\.\.ROOM_DRIFT_VERDICTS,/);
		expect(read('scripts/steps/verdict-docs.mjs')).toContain("['serve/verdicts/room-drift', 'Room drift']");
		expect(mistakes('src/lib/core/serve/verdicts/room-drift.ts')).toEqual([]);
	});
	it('a record has its migration after the last, its folder and its lines', () => {
		expect(make('record', 'insurance-papers')).toMatchObject({ status: 0 });
		const numbers = [...read('src/lib/server/db/migrations/index.ts').matchAll(/name: '(\d+)-([a-z-]+)'/g)];
		expect(numbers.at(-1)![2]).toBe('insurance-papers');
		expect(numbers.map((m) => Number(m[1]))).toEqual(numbers.map((_, i) => i + 1));
		expect(read('src/lib/server/records/registry.ts')).toContain('\tinsurancePaperKind,\n');
		for (const file of ['input', 'row', 'kind'])
			expect(mistakes(`src/lib/server/records/insurance-papers/${file}.ts`)).toEqual([]);
	});
	it.each([
		['stage', 'handover', 'src/lib/core/handover/judge.ts'],
		['instrument', 'scale', 'stand-ins/instruments/scale.ts']
	])('a new %s says what is left', (what, name, file) => {
		const { status, told } = make(what, name);
		expect(status).toBe(0);
		expect(told).toContain('Left to do:');
		expect(mistakes(file)).toEqual([]);
	});
	it.each([
		[['verdict', 'room-drift', '--stage', 'serve'], /is there already/],
		[['verdict', 'lost', '--stage', 'nowhere'], /name a stage/],
		[['verdict', 'Bad_Name'], /small letters/],
		[['poem', 'x'], /verdict\|record/]
	])('%j is refused in words, and nothing is written', (words, why) => {
		const before = read('src/lib/core/serve/verdicts/index.ts');
		const { status, told } = make(...words);
		expect(status).toBe(1);
		expect(told).toMatch(why);
		expect(read('src/lib/core/serve/verdicts/index.ts')).toBe(before);
	});
});
