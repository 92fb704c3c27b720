import { expect, it } from 'vitest';
import { formFields } from '$lib/input/form-fields';
import { CELL_TYPE_FIGURES } from '$lib/input/bank-form';
import { figuresToForm, shownFigures } from './bank-form';

it('goes to US units and back without moving a figure', () => {
	const stored = { ratedAh: 230, chargeColdC: 0, massKg: 4.1, torqueNm: 6, thicknessMm: 54 };
	const form = figuresToForm(stored, 'us');
	expect(form.chargeColdC).toBe(32);
	const posted = new FormData();
	for (const [key, value] of Object.entries(form)) posted.set(key, value === null ? '' : String(value));
	const kinds = { ...CELL_TYPE_FIGURES, ratedAh: 'number' as const };
	const back = formFields(
		posted,
		Object.fromEntries(Object.entries(kinds).map(([key, quantity]) => [key, quantity ?? 'number'])),
		'us'
	);
	for (const [key, value] of Object.entries(stored)) expect(back[key]).toBeCloseTo(value, 3);
	expect(back.heightMm).toBeNull();
});
it('shows the chemistry default as a default', () => {
	const charge = shownFigures('LTO', 'metric').find((f) => f.key === 'chargeLimitV')!;
	expect(charge).toMatchObject({ label: 'Charge limit', unit: 'V', fallback: 'default 2.8' });
});
