import { describe, expect, it } from 'vitest';
import { MatchInput, SocBoundsInput } from '$lib/input/compute';
import { BankInput } from '$lib/server/records/banks/input';
import { CapacityTestInput } from '$lib/server/records/capacity-tests/input';
import { CellTypeInput } from '$lib/server/records/cell-types/input';
import { NewDeliveryInput } from '$lib/server/records/deliveries/input';
import { ReadingInput } from '$lib/server/records/readings/input';
import { InputError, validated, type FieldFault } from '$lib/input/validate';

function faultsOf(work: () => unknown): FieldFault[] {
	try {
		work();
	} catch (error) {
		if (error instanceof InputError) return error.faults;
		throw error;
	}
	return [];
}

const bank = { name: 'Heronry', bankUse: 'boat', chemistry: 'LFP', series: 8, parallel: 2 };

describe('validated input', () => {
	it('comes back as its class with defaults filled in', () => {
		const input = validated(BankInput, bank);
		expect(input).toBeInstanceOf(BankInput);
		expect(input).toMatchObject({ batteries: 1, endFraction: 0.8 });
	});
	it('has no defaults in a change, so that nothing is overwritten', () => {
		expect({ ...validated(BankInput, { notes: 'x' }, true) }).toEqual({ notes: 'x' });
	});
	it.each([
		['series', 0, 'series requires a whole number from 1 to 128'],
		['series', 2.5, 'series requires a whole number from 1 to 128'],
		['series', '8', 'series requires a whole number from 1 to 128'],
		['name', '', 'name requires text of 1 to 80 characters'],
		['name', 'x'.repeat(81), 'name requires text of 1 to 80 characters'],
		['bankUse', 'castle', 'bankUse requires one of cabin, van, motorhome, boat, other'],
		['chemistry', 'lfp', 'chemistry requires one of LFP, LTO, NMC'],
		['endFraction', NaN, 'endFraction requires a number from 0.3 to 0.95'],
		['inServiceOn', 'yesterday', 'inServiceOn requires a date like 2026-03-09 or 2026-03-09T14:05:00Z'],
		['inServiceOn', '2026-02-30', 'inServiceOn requires a date like 2026-03-09 or 2026-03-09T14:05:00Z']
	])('refuses %s = %j and says what it wants', (field, value, message) => {
		expect(faultsOf(() => validated(BankInput, { ...bank, [field]: value }))).toEqual([{ path: field, message }]);
	});
	it('takes null where a field may be missing', () => {
		expect(validated(BankInput, { ...bank, notes: null, cellTypeId: null })).toMatchObject({ notes: null });
	});
	it('names every bad field of a list by its place', () => {
		const cells = [{ id: 'a', capacityAh: 1 }, { id: '', capacityAh: 1 }, { id: 3, capacityAh: null }, 'nonsense'];
		const paths = faultsOf(() => validated(MatchInput, { series: 1, parallel: 1, cells })).map((f) => f.path);
		expect(paths).toEqual(expect.arrayContaining(['cells.1.id', 'cells.2.capacityAh']));
		expect(paths.some((p) => p.startsWith('cells.3') || p === 'cells')).toBe(true);
	});
	it('refuses an identity that is an object', () => {
		const cells = [{ id: { $ne: 1 }, capacityAh: 1 }];
		expect(faultsOf(() => validated(MatchInput, { series: 1, parallel: 1, cells }))[0]!.path).toBe('cells.0.id');
	});
	it.each([null, undefined, 'text', 7, [bank]])('refuses %j as a whole', (body) => {
		expect(faultsOf(() => validated(BankInput, body))).toEqual([
			{ path: '', message: 'The body requires a JSON object' }
		]);
	});
	it('refuses unknown fields, however they are smuggled in', () => {
		expect(faultsOf(() => validated(BankInput, { ...bank, deletedAt: null, id: 1 })).map((f) => f.path)).toEqual([
			'deletedAt',
			'id'
		]);
		const polluted = JSON.parse('{"__proto__": {"admin": true}, "constructor": {"x": 1}}') as object;
		faultsOf(() => validated(BankInput, { ...bank, ...polluted }));
		expect(({} as { admin?: boolean }).admin).toBeUndefined();
	});
	it('keeps a delivery within what a tray can hold', () => {
		const delivery = { bankId: 1, name: 'Crate', receivedOn: '2026-03-09', cellCount: 20 };
		expect(validated(NewDeliveryInput, delivery).labelPrefix).toBe('C');
		expect(faultsOf(() => validated(NewDeliveryInput, { ...delivery, cellCount: 2001 }))[0]!.path).toBe('cellCount');
	});
	it('wants a doubt with a capacity test, and above 0', () => {
		const test = { bankId: 1, testedAt: '2026-03-09', capacityAh: 100, efc: 0 };
		expect(faultsOf(() => validated(CapacityTestInput, { ...test, sdAh: 0 }))[0]!.path).toBe('sdAh');
	});
	it('takes a cell type with a rated capacity alone', () => {
		expect(validated(CellTypeInput, { name: 'T', chemistry: 'LTO', ratedAh: 40 })).toMatchObject({ ratedAh: 40 });
	});
	it('refuses a quantity that cannot be read off a cell, and infinities', () => {
		expect(faultsOf(() => validated(ReadingInput, { cellId: 1, quantity: 'soc', rawText: '50' }))[0]!.path).toBe(
			'quantity'
		);
		const body = { chemistry: 'LFP', restVoltageV: Infinity, meterSdV: 0, restS: 0 };
		expect(faultsOf(() => validated(SocBoundsInput, body))[0]!.path).toBe('restVoltageV');
	});
});
