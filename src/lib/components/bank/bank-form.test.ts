import { expect, it } from 'vitest';
import { CELL_TYPE_FIGURES, figureDefault, figuresFromForm, figuresToForm } from './bank-form';

it('goes to US units and back without moving a figure', () => {
	const stored = { ratedAh: 230, chargeColdC: 0, massKg: 4.1, torqueNm: 6, thicknessMm: 54 };
	const form = figuresToForm(stored, 'us');
	expect(form.chargeColdC).toBe(32);
	const back = figuresFromForm(form, 'us');
	for (const [key, value] of Object.entries(stored)) expect(back[key]).toBeCloseTo(value, 3);
});
it('keeps a blank figure blank', () =>
	expect(figuresFromForm({ ratedAh: 230, massKg: '' }, 'metric')).toMatchObject({
		ratedAh: 230,
		massKg: null,
		torqueNm: null
	}));
it('shows the chemistry default as a default', () => {
	const charge = CELL_TYPE_FIGURES.find((f) => f.key === 'chargeLimitV')!;
	expect(figureDefault(charge, 'LTO', 'metric')).toBe('default 2.8');
});
