// docs/verdicts.md, made from the definitions: every code, what it means, how urgent it may be, and what it stands on.
import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { root } from './machine.mjs';

const CORE = join(root, 'src', 'lib', 'core');
/** The files of the definitions with their titles, in the order of the stages. */
const SECTIONS = [
	['plan/verdicts/layout', 'Plan'],
	['plan/verdicts/label', 'A label'],
	['plan/verdicts/planning', 'Before anything is bought'],
	['receive/verdicts/cells', 'Receive'],
	['receive/verdicts/arrival', 'What arrived'],
	['receive/verdicts/inspection', 'Looked at'],
	['receive/verdicts/codes', 'Codes and age'],
	['receive/verdicts/modules', 'Modules in one piece'],
	['receive/verdicts/self-discharge', 'Self-discharge'],
	['test/verdicts/capacity', 'Test'],
	['test/verdicts/grades', 'Grades'],
	['test/verdicts/witnesses', 'What measured the same charge'],
	['match/verdicts/match', 'Match'],
	['balance/verdicts/joining', 'Joining in parallel'],
	['balance/verdicts/links', 'Series links off'],
	['balance/verdicts/balance', 'Balance'],
	['balance/verdicts/charge', 'A charge side by side'],
	['balance/verdicts/after-charge', 'After the charge'],
	['balance/verdicts/bottom-and-fast', 'Bottom and fast'],
	['balance/verdicts/balancer', 'By balancer, and ready-made batteries'],
	['build/verdicts/build', 'Build'],
	['limits/verdicts/limits', 'Limits'],
	['prove/verdicts/prove', 'Prove'],
	['serve/verdicts/serve', 'Serve'],
	['foundation/reading/verdicts', 'Readings'],
	['foundation/snapshot/verdicts', 'Group voltages'],
	['picture/verdicts', 'Several stages'],
	['bank/not-judged', 'The bank']
];

const fileOf = (path) => join(CORE, `${path}.ts`);

/** Files of definitions that no section names. */
function unlisted() {
	// In foundation stands how verdicts are made, and none.
	const rooms = readdirSync(CORE)
		.filter((room) => room !== 'foundation')
		.map((room) => join(room, 'verdicts'));
	const files = rooms
		.filter((folder) => existsSync(join(CORE, folder)))
		.flatMap((folder) => readdirSync(join(CORE, folder)).map((f) => join(folder, f)));
	return files
		.filter((f) => f.endsWith('.ts') && !/(index|bounds|\.test)\.ts$/.test(f))
		.map((f) => f.slice(0, -3))
		.filter((f) => !SECTIONS.some(([path]) => path === f));
}

const program = () =>
	ts.createProgram(
		SECTIONS.map(([path]) => fileOf(path)),
		{
			strict: true,
			target: ts.ScriptTarget.ESNext,
			module: ts.ModuleKind.ESNext,
			moduleResolution: ts.ModuleResolutionKind.Bundler
		}
	);

/** A type as a reader wants it: figures with doubt by their short name, lists and unions written out. */
function shown(checker, type, node) {
	const text = checker.typeToString(
		type,
		node,
		ts.TypeFormatFlags.NoTruncation | ts.TypeFormatFlags.UseSingleQuotesForStringLiteralType
	);
	if (text === 'Measured') return 'value ± sd';
	if (text === 'Interval') return '95 % interval';
	if (text === 'Chemistry') return 'LFP, LTO or NMC';
	return text.replace(/readonly /g, '').replaceAll('Measured', 'value ± sd');
}

const docOf = (checker, symbol) =>
	ts.displayPartsToString(symbol.getDocumentationComment(checker)).replace(/\s+/g, ' ').trim();

const factsOf = (checker, node) =>
	checker
		.getTypeFromTypeNode(node)
		.getProperties()
		.map((fact) => ({
			name: fact.name,
			type: shown(checker, checker.getTypeOfSymbolAtLocation(fact, node), node),
			doc: docOf(checker, fact)
		}));

/** The text or list of texts that a definition gives under a name; null where it gives none. */
function partOf(definition, name) {
	const value = definition.properties.find((p) => p.name?.getText() === name)?.initializer;
	if (!value) return null;
	return ts.isArrayLiteralExpression(value) ? value.elements.map((e) => e.text) : value.text;
}

/** `'the-code': verdict<Facts>()({ … })`; null for anything else. */
function definitionIn(checker, property) {
	const call = property.initializer;
	const typed = call && ts.isCallExpression(call) ? call.expression : null;
	if (!typed || !ts.isCallExpression(typed) || typed.expression.getText() !== 'verdict') return null;
	const [definition] = call.arguments;
	return {
		code: property.name.text,
		doc: partOf(definition, 'means') ?? '',
		urgencies: partOf(definition, 'urgencies') ?? [],
		calm: partOf(definition, 'calm'),
		facts: factsOf(checker, typed.typeArguments[0])
	};
}

/** Every code by section. @returns {{section: string, codes: {code: string, doc: string, urgencies: string[], facts: object[]}[]}[]} */
export function verdictCodes() {
	const left = unlisted();
	if (left.length) throw new Error(`Name ${left.join(', ')} among the sections of docs/verdicts.md.`);
	const built = program();
	const checker = built.getTypeChecker();
	return SECTIONS.map(([path, section]) => {
		const codes = [];
		const visit = (node) => {
			const found = ts.isPropertyAssignment(node) ? definitionIn(checker, node) : null;
			if (found) codes.push(found);
			else ts.forEachChild(node, visit);
		};
		visit(built.getSourceFile(fileOf(path)));
		return { section, codes };
	});
}

const CALM = { ok: 'calm (OK)', note: 'calm (Note)' };
const urgenciesText = ({ urgencies, calm }) => urgencies.map((u) => (u === 'calm' ? CALM[calm] : u)).join(', ');

/** The page as text. */
export function verdictPage() {
	const sections = verdictCodes().map(({ section, codes }) => {
		const entries = codes.map((definition) => {
			const { code, doc, facts } = definition;
			const lines = facts.map((f) => `- \`${f.name}\`: ${f.type}${f.doc ? `. ${f.doc}` : ''}`);
			return [
				`### \`${code}\``,
				`${doc} (${urgenciesText(definition)})`,
				'',
				...(lines.length ? lines : ['No facts beside its subject.'])
			].join('\n');
		});
		return [`## ${section}`, '', entries.join('\n\n')].join('\n');
	});
	return [
		'# Verdicts',
		'',
		'Every verdict is data first: a code, an urgency (`warmth`), what it is about (`subject`, and `members` where it speaks of several) and the',
		'facts it stands on. Its sentences are made from those by its definition in `src/lib/core/<stage>/verdicts`. `value ± sd` is a figure with',
		'its doubt, one standard deviation; units are in the names; in brackets, how urgent it may be. This page is made from the definitions by',
		'`npm run docs`; a test holds it to them.',
		'',
		sections.join('\n\n'),
		''
	].join('\n');
}
