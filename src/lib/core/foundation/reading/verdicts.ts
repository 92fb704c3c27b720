import { sayFrom, verdict } from '../verdicts';

export const READING_VERDICTS = {
	'type-figure-doubted': verdict<{
		quantity: 'acResistance' | 'mass';
		typed: number;
		/** In the middle of the cells that were read; null: none decides. */
		seen: number | null;
		cells: number;
		ratedAh: number;
		/** What such a cell usually has; null: nobody knows. */
		usualLow: number | null;
		usualHigh: number | null;
		/** The same with its decimal point moved, where that fits; null: it does not. */
		slip: number | null;
	}>()({
		means: 'A figure of the cell type that no such cell has, or that all its cells disagree with alike.',
		urgencies: ['look'],
		words: ({ facts: { quantity, typed, seen, cells, ratedAh, usualLow, usualHigh, slip } }) => {
			const [what, unit] = quantity === 'mass' ? ['mass', 'kg'] : ['resistance', 'mΩ'];
			const figure = (v: number) => `${Number(v.toPrecision(3))} ${unit}`;
			return {
				title: `Is the ${what} of the cell type right? ${figure(typed)}`,
				finding:
					seen === null
						? `A cell of ${ratedAh} Ah usually has ${figure(usualLow!)} to ${figure(usualHigh!)} at 1 kHz.`
						: `All ${cells} cells that were read agree on ${figure(seen)}.`,
				doubt:
					quantity === 'mass'
						? 'A scale that was not set to nought reads all cells alike too heavy.'
						: 'A DC figure of a data sheet is larger than the 1 kHz one; leads of a two-wire meter make all cells read alike too high.',
				rule:
					seen === null
						? 'Resistance times capacity of a prismatic cell lies within wide bounds.'
						: 'Cells that agree among themselves, and not with the figure, weigh more than a figure that was copied.',
				next:
					slip === null
						? 'Look at the data sheet again, and correct the cell type in the plan.'
						: `Look at the data sheet: is it ${figure(slip)}? Correct the cell type in the plan.`
			};
		}
	})
};

export const say = sayFrom(READING_VERDICTS);
