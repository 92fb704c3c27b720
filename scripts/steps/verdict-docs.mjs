// docs/verdicts.md, made from the types of the facts: every code, what it means, and what it stands on.
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { root } from './machine.mjs';

const FOLDER = join(root, 'src', 'lib', 'core', 'foundation', 'verdicts');
/** Order of the sections: that of the stages. */
const SECTIONS = [
	'plan',
	'label',
	'planning',
	'receive',
	'arrival',
	'code',
	'module',
	'storage',
	'test',
	'grade',
	'witness',
	'match',
	'join',
	'links',
	'balance',
	'charge',
	'method',
	'balancer',
	'build',
	'limits',
	'prove',
	'serve',
	'any-stage'
];
const TITLES = {
	'any-stage': 'Any stage',
	label: 'A label',
	planning: 'Before anything is bought',
	arrival: 'What arrived',
	code: 'Codes and age',
	module: 'Modules in one piece',
	storage: 'Cells in storage',
	grade: 'Grades',
	balancer: 'By balancer, and ready-made batteries',
	join: 'Joining in parallel',
	charge: 'A charge side by side',
	method: 'Bottom and fast',
	links: 'Series links off',
	witness: 'What measured the same charge'
};

const program = () => {
	const files = readdirSync(FOLDER)
		.filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts'))
		.map((f) => join(FOLDER, f));
	return ts.createProgram(files, {
		strict: true,
		module: ts.ModuleKind.ESNext,
		moduleResolution: ts.ModuleResolutionKind.Bundler
	});
};

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

function factsOf(checker, property, node) {
	const type = checker.getTypeOfSymbolAtLocation(property, node);
	return type.getProperties().map((fact) => ({
		name: fact.name,
		type: shown(checker, checker.getTypeOfSymbolAtLocation(fact, node), node),
		doc: docOf(checker, fact)
	}));
}

/** Every code by section. @returns {{section: string, codes: {code: string, doc: string, facts: object[]}[]}[]} */
export function verdictCodes() {
	const built = program();
	const checker = built.getTypeChecker();
	return SECTIONS.map((section) => {
		const source = built.getSourceFile(join(FOLDER, `${section}-words.ts`));
		const facts = source.statements.find(
			(s) =>
				ts.isInterfaceDeclaration(s) &&
				/Facts$/.test(s.name.text) &&
				s.modifiers?.some((m) => m.kind === ts.SyntaxKind.ExportKeyword)
		);
		const type = checker.getTypeAtLocation(facts);
		const codes = type.getProperties().map((property) => ({
			code: property.name,
			doc: docOf(checker, property),
			facts: factsOf(checker, property, facts)
		}));
		return { section, codes };
	});
}

const titled = (section) => TITLES[section] ?? section[0].toUpperCase() + section.slice(1);

/** The page as text. */
export function verdictPage() {
	const sections = verdictCodes().map(({ section, codes }) => {
		const entries = codes.map(({ code, doc, facts }) => {
			const lines = facts.map((f) => `- \`${f.name}\`: ${f.type}${f.doc ? `. ${f.doc}` : ''}`);
			return [`### \`${code}\``, doc, '', ...(lines.length ? lines : ['No facts beside its subject.'])].join('\n');
		});
		return [`## ${titled(section)}`, '', entries.join('\n\n')].join('\n');
	});
	return [
		'# Verdicts',
		'',
		'Every verdict is data first: a code, a warmth, what it is about (`subject`, and `members` where it speaks of several) and the',
		'facts it stands on. Its sentences are made from those in `src/lib/core/foundation/verdicts`. `value ± sd` is a figure with its doubt, one',
		'standard deviation; units are in the names. This page is made from the types by `npm run docs`; a test holds it to them.',
		'',
		sections.join('\n\n'),
		''
	].join('\n');
}
