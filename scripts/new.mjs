// npm run new -- verdict|record|instrument|stage NAME [--stage STAGE]: writes the files that each of these begins with, and says what is left.
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { parseArgs } from 'node:util';
import { root } from './steps/machine.mjs';

const { positionals, values } = parseArgs({
	allowPositionals: true,
	options: { stage: { type: 'string', default: 'serve' } }
});
const [what, name = ''] = positionals;
const CORE = 'src/lib/core';
const SERVER = 'src/lib/server';

const fail = (message) => {
	console.error(message);
	process.exit(1);
};
const camel = (text) => text.replace(/-(.)/g, (_, letter) => letter.toUpperCase());
const pascal = (text) => camel(text)[0].toUpperCase() + camel(text).slice(1);
const constant = (text) => text.replaceAll('-', '_').toUpperCase();
const titled = (text) => text[0].toUpperCase() + text.slice(1).replaceAll('-', ' ');
const singular = (text) => text.replace(/ies$/, 'y').replace(/s$/, '');

function write(path, text) {
	const file = join(root, path);
	if (existsSync(file)) fail(`${path} is there already: choose another name.`);
	mkdirSync(dirname(file), { recursive: true });
	writeFileSync(file, text);
	console.log(`  made     ${path}`);
}

/** Puts text before (or after) a place in a file that must hold it. */
function put(path, place, text, after = false) {
	const file = join(root, path);
	const before = readFileSync(file, 'utf8');
	if (!before.includes(place)) fail(`${path} has changed: "${place}" is not in it. Add by hand:\n${text}`);
	writeFileSync(file, before.replace(place, after ? place + text : text + place));
	console.log(`  changed  ${path}`);
}

const verdictText = (code, family) => `import { verdict } from '../../foundation/verdicts';

export const ${constant(family)}_VERDICTS = {
	'${code}': verdict<{ limitV: number }>()({
		means: 'What it says, in a sentence.',
		urgencies: ['calm', 'look'],
		calm: 'note',
		words: ({ subject, facts: { limitV } }) => ({
			title: \`\${subject.label}: what was found\`,
			finding: 'What it rests on, with figures.',
			doubt: null,
			rule: \`The rule that was applied: \${limitV} V (default).\`,
			next: null
		})
	})
};
`;

function addVerdict(code, stage) {
	const folder = `${CORE}/${stage}/verdicts`;
	if (!existsSync(join(root, folder))) fail(`There is no ${folder}: name a stage with --stage.`);
	write(`${folder}/${code}.ts`, verdictText(code, code));
	put(`${folder}/index.ts`, '\n/** Every verdict', `import { ${constant(code)}_VERDICTS } from './${code}';\n`);
	put(
		`${folder}/index.ts`,
		`export const ${stage.toUpperCase()}_VERDICTS = {\n`,
		`\t...${constant(code)}_VERDICTS,\n`,
		true
	);
	put(
		'scripts/steps/verdict-docs.mjs',
		"\t['foundation/reading/verdicts'",
		`\t['${stage}/verdicts/${code}', '${titled(code)}'],\n`
	);
	return [
		`say('${code}', urgency, subject, facts) where it is judged, with say of '../verdicts'`,
		'npm run docs; a test with a case worked by hand'
	];
}

function addRecord(kind) {
	const folder = `${SERVER}/records/${kind}`;
	const [table, one] = [kind.replaceAll('-', '_'), singular(kind)];
	const type = pascal(one);
	const numbers = readdirSync(join(root, SERVER, 'db', 'migrations')).flatMap((f) => /^(\d+)-/.exec(f)?.[1] ?? []);
	const number = String(Math.max(...numbers.map(Number)) + 1).padStart(3, '0');
	write(
		`${folder}/input.ts`,
		`import { ClientKey, Maybe, Text, Whole } from '$lib/input/fields';

export class ${type}Input {
	@Whole(1, 2 ** 31) bankId!: number;
	@Text(400, 1) text!: string;
	@Maybe() @ClientKey() clientKey?: string;
}
`
	);
	write(
		`${folder}/row.ts`,
		`import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { ${type}Input } from './input';

export type ${type} = Stored<Omit<${type}Input, 'clientKey'>>;
export const ${camel(kind)} = createRepository<${type}>('${table}', '${one.replaceAll('-', ' ')}', 'id');
`
	);
	write(
		`${folder}/kind.ts`,
		`import { defineKind } from '../kind';
import { ${type}Input } from './input';
import { ${camel(kind)}, type ${type} } from './row';

export const ${camel(one)}Kind = defineKind<${type}>({
	name: '${kind}',
	repository: ${camel(kind)},
	called: ({ text }) => text.slice(0, 60),
	createInput: ${type}Input,
	changeInput: ${type}Input,
	parents: { bankId: 'banks' },
	filters: ['bankId'],
	columns: ['id', 'bankId', 'text'],
	keyed: true,
	archivedWith: 'bankId',
	banksOf: async ({ bankId }) => [bankId]
});
`
	);
	write(
		`${SERVER}/db/migrations/${number}-${kind}.ts`,
		`import type { Knex } from 'knex';
import { createRecords } from './records';

export async function up(knex: Knex): Promise<void> {
	await createRecords(knex, '${table}', (t) => {
		t.integer('bank_id').unsigned().notNullable().references('id').inTable('banks').index();
		t.string('text', 400).notNullable();
	});
}
`
	);
	const list = `${SERVER}/db/migrations/index.ts`;
	put(list, '\n];', `,\n\t{ name: '${number}-${kind}', up: ${camel(kind)}.up }`);
	put(list, '\ninterface Migration {', `import * as ${camel(kind)} from './${number}-${kind}';\n`);
	put(
		`${SERVER}/records/registry.ts`,
		'import type { RecordKind }',
		`import { ${camel(one)}Kind } from './${kind}/kind';\n`
	);
	put(`${SERVER}/records/registry.ts`, '\tnoteKind,', `\t${camel(one)}Kind,\n`);
	return [
		'its fields in input.ts and the migration; its place in records/registry.ts, after its parents',
		`'${number}-${kind}' in the list of tests/db/migration.test.ts; npm run docs`,
		'what writing it does to other kinds: a hook in server/stages/<stage>/hooks.ts'
	];
}

function addInstrument(kind) {
	write(
		`stand-ins/instruments/${kind}.ts`,
		`import type { Bench } from '$lib/core/world/bench';

/** The ${kind} of the simulated bench: what each of its commands answers. See the others in this folder. */
export const ${camel(kind)}Commands = (_bench: Bench): Record<string, () => string> => ({
	'MEAS?': () => '0'
});
`
	);
	return [
		`one entry in ${CORE}/foundation/reading/instrument-sheet.ts: what it is called, its protocol, unit and usual accuracy`,
		`a dialect in ${SERVER}/instruments/scpi-drivers.ts, or a register map in modbus-drivers.ts; docs/protocols.md`,
		'its port in stand-ins/, its faults in tests/drivers; npm run docs'
	];
}

function addStage(stage) {
	const type = pascal(stage);
	write(`${CORE}/${stage}/verdicts/${stage}.ts`, verdictText(`${stage}-waits`, stage));
	write(
		`${CORE}/${stage}/verdicts/index.ts`,
		`import { sayFrom } from '../../foundation/verdicts';
import { SHARED_VERDICTS } from '../../picture';
import { ${constant(stage)}_VERDICTS as OWN } from './${stage}';

/** Every verdict of this stage, by its code. */
export const ${constant(stage)}_VERDICTS = {
	...OWN
};

/** Says one of them, or one that several stages say. */
export const say = sayFrom({ ...SHARED_VERDICTS, ...${constant(stage)}_VERDICTS });
`
	);
	write(
		`${CORE}/${stage}/judge.ts`,
		`import type { BankPicture, StageJudgement } from '../picture';
import { bankSubject } from '../picture';
import { say } from './verdicts';

/** The verdicts of this stage on a bank. */
export const judge${type}Stage = (picture: BankPicture): StageJudgement => ({
	verdicts: [say('${stage}-waits', 'calm', bankSubject(picture), { limitV: 3.65 })],
	done: false
});
`
	);
	write(
		`${SERVER}/stages/${stage}/face.ts`,
		`import { judge${type}Stage } from '$lib/core/${stage}/judge';
import { defineStage, noFacts } from '../../judgements/stage-face';

export const ${camel(stage)}Stage = defineStage({ name: '${stage}', facts: noFacts, judge: judge${type}Stage });
`
	);
	write(
		`${SERVER}/stages/${stage}/page.ts`,
		`import { pageOf } from '../page';

export const ${camel(stage)}Page = (bankId: number) => pageOf(bankId, '${stage}', Promise.resolve({}));
`
	);
	write(
		`src/routes/banks/[id]/${stage}/+page.server.ts`,
		`import { idOf } from '$lib/server/http/endpoint';
import { loaded } from '$lib/server/http/load';
import { ${camel(stage)}Page } from '$lib/server/stages/${stage}/page';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => loaded((async () => ${camel(stage)}Page(idOf(params.id, 'bank')))());
`
	);
	write(
		`src/routes/banks/[id]/${stage}/+page.svelte`,
		`<script lang="ts">
	import { settingApart } from '$lib/client/entry/set-apart';
	import StagePage from '$lib/components/frame/StagePage.svelte';

	let { data } = $props();
</script>

<StagePage title="${type}" subtitle="what it is for" verdicts={data.verdicts} onsetapart={settingApart(data.bank.id, '${stage}')}>
	<p>What it shows.</p>
</StagePage>
`
	);
	return [
		`its name and place: ${CORE}/foundation/verdicts/stage.ts`,
		`its room in the line of order: ROOMS in scripts/steps/rooms.cjs`,
		`its verdicts: ${CORE}/bank/every-verdict.ts, and their section in scripts/steps/verdict-docs.mjs`,
		`its face: ${SERVER}/stages/registry.ts`,
		'npm run docs; its page in tests/e2e/views.spec.ts and a picture in scripts/screenshots.mjs'
	];
}

const MAKERS = {
	verdict: (n) => addVerdict(n, values.stage),
	record: addRecord,
	instrument: addInstrument,
	stage: addStage
};
if (!Object.hasOwn(MAKERS, what ?? '') || !/^[a-z][a-z0-9]*(-[a-z0-9]+)*$/.test(name))
	fail(
		'npm run new -- verdict|record|instrument|stage NAME, a name in small letters with hyphens; a verdict takes --stage STAGE.'
	);
const left = MAKERS[what](name);
console.log('Left to do:');
for (const line of left) console.log(`  - ${line}`);
