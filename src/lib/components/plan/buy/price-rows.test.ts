import { describe, expect, it } from 'vitest';
import { priceRows } from './price-rows';

describe('a pasted list of prices', () => {
	it('is read with a head in any order, with a currency sign and a decimal comma', () =>
		expect(priceRows('Price;Qty;Item\n78,25 €;8;Cells\n112;1;BMS')).toEqual({
			rows: [
				{ name: 'Cells', quantity: 8, unitPrice: 78.25, shipping: 0 },
				{ name: 'BMS', quantity: 1, unitPrice: 112, shipping: 0 }
			],
			unread: []
		}));
	it('without a head is name, quantity, price, shipping', () =>
		expect(priceRows('Cells\t8\t78.25\t64').rows).toEqual([
			{ name: 'Cells', quantity: 8, unitPrice: 78.25, shipping: 64 }
		]));
	it('names the lines it could not read and keeps the others', () =>
		expect(priceRows('name,quantity,price\nCells,8,78\n,1,5\nBMS,one,x')).toEqual({
			rows: [{ name: 'Cells', quantity: 8, unitPrice: 78, shipping: 0 }],
			unread: [3, 4]
		}));
	it('of nothing is nothing', () => expect(priceRows('  ')).toEqual({ rows: [], unread: [] }));
});
