import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { bench, leaveBrowser, settled, stored, wakeBrowser } from './entry-bench';

beforeEach(wakeBrowser);
afterEach(leaveBrowser);

describe('typing down the tray', () => {
	it('waits at the first unread cell and moves on with Enter', async () => {
		const { entry, type, shown, sent } = bench();
		expect(entry.selected?.label).toBe('E-01');
		type('3.294', '3,295');
		expect(shown()).toEqual([3.294, 3.295, null, null]);
		expect(entry.selected?.label).toBe('E-03');
		await settled();
		expect(sent.map((s) => [s.cellId, s.rawText])).toEqual([
			[1, '3.294'],
			[2, '3,295']
		]);
		expect(entry.waiting).toBe(0);
	});
	it('skips what is read, goes round to what was left, and an empty line only moves on', () => {
		const { entry, type } = bench();
		type('3.294');
		entry.pick(3);
		type('3.293');
		expect(entry.selected?.label).toBe('E-04');
		type('');
		expect(entry.selected?.label).toBe('E-02');
	});
	it('keeps a word in the field, says what it wants, and stays', () => {
		const { entry, type, sent } = bench();
		type('low');
		expect(entry.error).toContain('got "low"');
		expect(entry.text).toBe('low');
		expect(entry.selected?.label).toBe('E-01');
		expect(sent).toEqual([]);
	});
	it('switches to milliohms at the first cell without them', () => {
		const { entry, type } = bench();
		type('3.294', '3.295');
		entry.switchQuantity('acResistance');
		expect(entry.selected?.label).toBe('E-03');
		entry.pick(1);
		type('0.181');
		expect(entry.selected?.label).toBe('E-02');
	});
});

describe('what is typed and not yet entered', () => {
	it('is entered when another cell or quantity is chosen, and stays when it is no reading', async () => {
		const { entry, shown, sent } = bench();
		entry.text = '3.291';
		entry.pick(3);
		expect(shown()[0]).toBe(3.291);
		expect(entry.selectedId).toBe(3);
		entry.text = 'x';
		entry.pick(4);
		expect(entry.selectedId).toBe(3);
		expect(entry.text).toBe('x');
		expect(entry.error).toContain('is a number like 3.298');
		entry.text = '3.295';
		entry.switchQuantity('acResistance');
		await settled();
		expect(sent.map((s) => s.rawText)).toEqual(['3.291', '3.295']);
	});
	it('stands in the field again after a reload', () => {
		const before = bench();
		before.entry.pick(2);
		before.entry.switchQuantity('acResistance');
		before.entry.pick(2);
		before.entry.text = '0.18';
		before.entry.typed();
		const { entry } = bench();
		expect({ id: entry.selectedId, quantity: entry.quantity, text: entry.text }).toEqual({
			id: 2,
			quantity: 'acResistance',
			text: '0.18'
		});
		entry.enter();
		expect(bench().entry.text).toBe('');
	});
	it('goes with how and when it was read', async () => {
		const { entry, type, sent } = bench();
		entry.how = { state: 'joined', stateA: null, takenAt: '2026-03-08T20:00:00.000Z', takenDoubtS: 3600 };
		type('3.301');
		await settled();
		expect(sent[0]).toMatchObject({ state: 'joined', takenAt: '2026-03-08T20:00:00.000Z', takenDoubtS: 3600 });
	});
});

describe('two slips', () => {
	it('are both asked about, the first first', () => {
		const { entry, type } = bench();
		type('32.94', '0.3295');
		expect(entry.questions.map((q) => q.cell.label)).toEqual(['E-01', 'E-02']);
		entry.acceptSuggestion();
		expect(entry.question?.cell.label).toBe('E-02');
		entry.confirm();
		expect(entry.question).toBeNull();
	});
});

describe('a questionable value', () => {
	it('is kept at once, asked about, and replaced by the suggestion', async () => {
		const { entry, type, shown, sent } = bench();
		type('32.94');
		expect(shown()[0]).toBe(32.94);
		expect(entry.question).toMatchObject({ cell: { label: 'E-01' }, question: { suggestion: 3.294 } });
		entry.acceptSuggestion();
		expect(shown()[0]).toBe(3.294);
		expect(entry.question).toBeNull();
		await settled();
		expect(sent.map((s) => s.rawText)).toEqual(['32.94', '3.294 V']);
	});
	it('stays asked while other cells are read, and is dropped when its own cell is read again', () => {
		const { entry, type } = bench();
		type('32.94', '3.295');
		expect(entry.question?.cell.label).toBe('E-01');
		entry.pick(1);
		type('3.294');
		expect(entry.question).toBeNull();
	});
});

describe('undo', () => {
	it('takes the last reading back here and on the server, one after the other', async () => {
		const { entry, type, shown, removed } = bench();
		type('3.294', '3.295');
		await settled();
		await entry.undo();
		expect(shown()).toEqual([3.294, null, null, null]);
		expect(entry.selected?.label).toBe('E-02');
		await entry.undo();
		expect(shown()).toEqual([null, null, null, null]);
		expect(removed).toHaveLength(2);
		expect(entry.canUndo).toBe(false);
		await entry.undo();
		expect(removed).toHaveLength(2);
	});
	it('shows what was there before', async () => {
		const { entry, cells, type, shown } = bench();
		cells[0]!.readings.restVoltage = { id: 9, value: 3.29, version: 1 };
		entry.pick(1);
		type('3.4');
		expect(shown()[0]).toBe(3.4);
		await settled();
		await entry.undo();
		expect(shown()[0]).toBe(3.29);
	});
});

describe('a pasted column', () => {
	it('lies beside the cells from the selected one on, and stores nothing before it is confirmed', async () => {
		const { entry, shown, sent } = bench();
		entry.pick(2);
		entry.paste('3.291\n\n3.293\n');
		await settled();
		expect(sent).toEqual([]);
		expect(entry.pasted!.rows.map(({ cell, line }) => [cell.label, line?.text ?? null])).toEqual([
			['E-02', '3.291'],
			['E-03', null],
			['E-04', '3.293']
		]);
		entry.enterPasted();
		expect(shown()).toEqual([null, 3.291, null, 3.293]);
		expect(entry.pasted).toBeNull();
		await settled();
		expect(sent).toHaveLength(2);
	});
	it('a head shifts nothing; it is moved by hand where it lies beside the wrong cell', () => {
		const { entry, shown } = bench();
		entry.paste('Volts\n3.291\n3.292');
		expect(entry.pasted!.header).toEqual(['Volts']);
		entry.pasted!.move(-1);
		expect(entry.pasted!.from).toBe(0);
		entry.pasted!.move(1);
		entry.enterPasted();
		expect(shown()).toEqual([null, 3.291, 3.292, null]);
	});
	it('is entered as what it was pasted for, whatever is shown meanwhile', () => {
		const { entry, cells } = bench();
		entry.paste('3.291\n3.292');
		entry.switchQuantity('acResistance');
		entry.enterPasted();
		expect(cells.map((c) => entry.valueOf(c, 'restVoltage'))).toEqual([3.291, 3.292, null, null]);
		expect(cells.map((c) => entry.valueOf(c, 'acResistance'))).toEqual([null, null, null, null]);
	});
	it('names a word among numbers, cells that get nothing and values that no cell is left for', () => {
		const { entry, shown } = bench();
		entry.paste('3.291\nx\n3.293');
		expect(entry.pasted!.rows[1]).toMatchObject({ cell: { label: 'E-02' }, line: { text: 'x', value: null } });
		expect(entry.pasted!.without.map((c) => c.label)).toEqual(['E-04']);
		entry.enterPasted();
		expect(shown()).toEqual([3.291, null, 3.293, null]);
		entry.pick(3);
		entry.paste('3.1\n3.2\n3.3\n3.4');
		expect(entry.pasted).toMatchObject({ values: 2, leftOver: 2 });
		entry.pasted = null;
		expect(shown()).toEqual([3.291, null, 3.293, null]);
	});
});

describe('the server', () => {
	it('refuses: the value goes, with the reason', async () => {
		const refuse = () =>
			new Response(JSON.stringify({ detail: 'The cell was deleted.', code: 'not-found' }), { status: 404 });
		const { entry, type, shown, refusals } = bench(refuse);
		type('3.294');
		await settled();
		expect(shown()[0]).toBeNull();
		expect(refusals).toEqual(['"3.294" was not stored: The cell was deleted.']);
		expect(entry.canUndo).toBe(false);
	});
	it('is away: the value stays and is sent when it is back', async () => {
		let away = true;
		const { entry, type, shown, sent } = bench(async () => {
			if (away) throw new TypeError('network');
			return stored();
		});
		type('3.294');
		await settled();
		expect(shown()[0]).toBe(3.294);
		expect(entry.waiting).toBe(1);
		away = false;
		await vi.advanceTimersByTimeAsync(5000);
		expect(entry.waiting).toBe(0);
		expect(new Set(sent.map((s) => s.clientKey)).size).toBe(1);
	});
});

it('takes a bare temperature in the units shown', async () => {
	const { entry, type, shown, sent, useUs } = bench();
	useUs();
	entry.switchQuantity('temperature');
	type('68', '20 °C');
	expect(shown().slice(0, 2)).toEqual([20, 20]);
	await settled();
	expect(sent[0]!.rawText).toBe('68 °F');
});
