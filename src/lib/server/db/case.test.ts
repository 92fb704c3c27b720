import { describe, expect, it } from 'vitest';
import { columnOf, fromColumns, toColumns } from './case';

describe('names in code and columns', () => {
	it('go there and back', () => {
		const names = ['id', 'ratedAh', 'acResistanceMohm', 'chargeCRate', 'sdAh', 'meanVoltageV', 'groupVoltagesV'];
		for (const name of names) {
			const row = fromColumns<Record<string, unknown>>({ [columnOf(name)]: 1 }, []);
			expect(Object.keys(row)).toEqual([name]);
		}
		expect(columnOf('chargeCRate')).toBe('charge_c_rate');
	});
	it('leave out what is undefined and keep null', () => {
		expect(toColumns({ ratedAh: undefined, massKg: null })).toEqual({ mass_kg: null });
	});
	it('write lists as JSON and read them back where told to', () => {
		const stored = toColumns({ groupVoltagesV: [3.4, null] });
		expect(stored).toEqual({ group_voltages_v: '[3.4,null]' });
		expect(fromColumns(stored, ['groupVoltagesV'])).toEqual({ groupVoltagesV: [3.4, null] });
		expect(fromColumns({ notes: '[not json' }, ['groupVoltagesV'])).toEqual({ notes: '[not json' });
	});
	it('give dates as ISO text', () => {
		expect(fromColumns({ taken_at: new Date(0) }, [])).toEqual({ takenAt: '1970-01-01T00:00:00.000Z' });
	});
});
