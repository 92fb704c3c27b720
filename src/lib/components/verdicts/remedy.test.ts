import { describe, expect, it } from 'vitest';
import { VERDICT_CODES, definitionOf } from '$lib/core/bank';
import { remedyOf } from './remedy';

it('leads from a stop to where it is mended, and not where one stands already', () => {
	const leads = { code: 'leads-wrong', warmth: 'stop' } as const;
	expect(remedyOf(leads, 7, '/banks/7/prove/gate')).toEqual({ href: '/banks/7/build/leads', text: 'Go to the leads' });
	expect(remedyOf(leads, 7, '/banks/7/build/leads')).toBeNull();
	expect(remedyOf({ ...leads, warmth: 'calm' }, 7, '/')).toBeNull();
});
it('every verdict that may stop has one, on a page there is', () => {
	const pages = Object.keys(
		import.meta.glob('/src/routes/banks/[[]id]/**/+page.server.ts', { query: '?raw', import: 'default', eager: true })
	);
	expect(pages.length).toBeGreaterThan(9);
	const places = Object.entries(
		import.meta.glob('/src/routes/banks/[[]id]/**/+page.server.ts', {
			query: '?raw',
			import: 'default',
			eager: true
		}) as Record<string, string>
	).flatMap(([file, text]) => {
		const stage = /\[id\]\/([a-z]+)\//.exec(file)?.[1];
		const views = /VIEWS = \[([^\]]*)\]/.exec(text)?.[1] ?? '';
		return stage ? [stage, ...[...views.matchAll(/'([a-z-]+)'/g)].map((m) => `${stage}/${m[1]}`)] : [];
	});
	for (const code of VERDICT_CODES) {
		const { remedy, urgencies } = definitionOf(code)!;
		if ((urgencies as readonly string[]).includes('stop')) expect(remedy, code).toBeDefined();
		if (remedy) expect(places, code).toContain(remedy.to);
	}
});

describe('what asks for a look', () => {
	it('of a supplier leads to the report, but not from the report itself', () => {
		const short = { code: 'capacity-short', warmth: 'look' } as const;
		expect(remedyOf(short, 3, '/banks/3/test')).toEqual({
			href: '/banks/3/receive/report',
			text: 'The report to the supplier'
		});
		expect(remedyOf(short, 3, '/banks/3/receive/report')).toBeNull();
		expect(remedyOf({ ...short, warmth: 'calm' }, 3, '/banks/3/test')).toBeNull();
	});
	it('a leak leads to where somebody says what became of it', () =>
		expect(remedyOf({ code: 'inspection-stop', warmth: 'stop' }, 3, '/banks/3/test')?.href).toBe(
			'/banks/3/receive/look'
		));
});
