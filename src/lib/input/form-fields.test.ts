import { describe, expect, it } from 'vitest';
import { bankFromForm } from './bank-form';
import { formFields } from './form-fields';

const form = (fields: Record<string, string>) => {
	const data = new FormData();
	for (const [name, value] of Object.entries(fields)) data.set(name, value);
	return data;
};

describe('a posted form', () => {
	it('reads a decimal comma as one: 280,4 is 280.4, never 2804', () =>
		expect(
			formFields(form({ a: '280,4', b: '1.200,5', c: '1 200' }), { a: 'number', b: 'number', c: 'number' })
		).toEqual({
			a: 280.4,
			b: 1200.5,
			c: 1200
		}));
	it('takes blank as null, leaves out what is not in the form, and passes over what nobody asked for', () =>
		expect(formFields(form({ a: '  ', x: '1' }), { a: 'number', b: 'text' })).toEqual({ a: null }));
	it('hands on what is no number as it was typed, for its check to name', () =>
		expect(formFields(form({ a: 'ten' }), { a: 'number' })).toEqual({ a: 'ten' }));
	it('brings a person’s unit to SI: 32 °F is 0 °C, 1 mV is 0.001 V', () => {
		expect(formFields(form({ t: '32' }), { t: 'temperature' }, 'us')).toEqual({ t: 0 });
		expect(formFields(form({ v: '1' }), { v: { times: 0.001 } })).toEqual({ v: 0.001 });
	});
});

describe('the form of a bank', () => {
	const bank = { name: 'B', chemistry: 'LFP', series: '4', cellTypeChoice: '7', version: '3' };
	it('leaves the cell type alone while its figures are not shown', () =>
		expect(bankFromForm(form(bank), 'metric')).toEqual({
			name: 'B',
			chemistry: 'LFP',
			series: 4,
			version: 3,
			cellTypeId: 7
		}));
	it('changes the chosen type by its version, or makes a new one', () => {
		const type = { 'cellType.name': 'T', 'cellType.ratedAh': '280', 'cellType.version': '2', 'cellType.massKg': '' };
		expect(bankFromForm(form({ ...bank, ...type }), 'metric')).toMatchObject({
			cellTypeId: 7,
			cellType: { id: 7, version: 2, name: 'T', ratedAh: 280, massKg: null, chemistry: 'LFP' }
		});
		const made = bankFromForm(form({ ...bank, ...type, cellTypeChoice: 'new' }), 'us');
		expect(made).toMatchObject({ cellTypeId: null });
		expect(made.cellType).not.toHaveProperty('id');
	});
});
