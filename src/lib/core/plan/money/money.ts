import { sum } from 'd3-array';
import { requireNotNegative, requirePositive } from '../../foundation/errors';
import type { Interval } from '../../foundation/statistics';

/** A line of what is to be bought. Money in whole hundredths, so that sums are exact. */
export interface PlanItem {
	name: string;
	quantity: number;
	/** Of one, hundredths. */
	unitCents: number;
	shippingCents: number;
	/** Cheaper by the quantity: from so many on one costs so much, hundredths. */
	breaks?: readonly PriceBreak[];
	/** Bought used: what it must still pass is said elsewhere. */
	used: boolean;
}

export interface PriceBreak {
	from: number;
	unitCents: number;
}

/** What one costs at this quantity: the break with the highest start that is reached, whatever their order. */
export const unitCentsAt = ({ quantity, unitCents, breaks = [] }: PlanItem): number =>
	breaks.reduce((best, b) => (quantity >= b.from && b.from >= best.from ? b : best), { from: 0, unitCents }).unitCents;

/** What buying more to reach the next break would save; null where it would save nothing. */
export function nextBreak(item: PlanItem): { quantity: number; savesCents: number } | null {
	const savings = (item.breaks ?? [])
		.filter((b) => b.from > item.quantity)
		.map((b) => ({ quantity: b.from, savesCents: lineCents(item) - lineCents({ ...item, quantity: b.from }) }))
		.filter((s) => s.savesCents > 0);
	return savings.length ? savings.reduce((a, b) => (b.savesCents > a.savesCents ? b : a)) : null;
}

export interface Cost {
	totalCents: number;
	/** Per kWh by rating, usable, and delivered over its life; null where that is not known. */
	perKwhNominal: number | null;
	perKwhUsable: number | null;
	/** By the years to the end and the cycles of each. */
	perKwhDelivered: Interval | null;
}

export interface CostBasis {
	nominalWh: number | null;
	usableWh: number | null;
	/** Full cycles of what is usable a year, and years to the end. */
	efcPerYear: number | null;
	yearsToEnd: Interval | null;
}

/** Out of what goes in (default). */
const EFFICIENCY = 0.95;
/** Over its life the mean capacity is between new and the end (default). */
const MEAN_CAPACITY = 0.9;

export const lineCents = (item: PlanItem): number => Math.round(item.quantity * unitCentsAt(item)) + item.shippingCents;

/** What the list costs, and per kWh. Prices in the currency of the settings, not in hundredths. @throws CoreError `negative` */
export function costOf(items: readonly PlanItem[], basis: CostBasis): Cost {
	items.forEach((item, i) => {
		requireNotNegative(item.quantity, `items.${i}.quantity`);
		requireNotNegative(item.unitCents, `items.${i}.unitCents`);
		requireNotNegative(item.shippingCents, `items.${i}.shippingCents`);
	});
	const totalCents = sum(items, lineCents);
	const per = (wh: number | null) => (wh === null ? null : totalCents / 100 / (requirePositive(wh, 'wh') / 1000));
	const { usableWh, efcPerYear, yearsToEnd } = basis;
	const delivered = (years: number) =>
		totalCents / 100 / (((usableWh! * efcPerYear! * years) / 1000) * EFFICIENCY * MEAN_CAPACITY);
	return {
		totalCents,
		perKwhNominal: per(basis.nominalWh),
		perKwhUsable: per(usableWh),
		perKwhDelivered:
			usableWh !== null && efcPerYear !== null && efcPerYear > 0 && yearsToEnd !== null && yearsToEnd.low95 > 0
				? {
						low95: delivered(yearsToEnd.high95),
						likely: delivered(yearsToEnd.likely),
						high95: delivered(yearsToEnd.low95)
					}
				: null
	};
}

/** One line of the difference between two lists. */
export interface Difference {
	name: string;
	beforeCents: number;
	afterCents: number;
}

/** What changed from one list to another, largest first; lines go by their name. */
export function differences(before: readonly PlanItem[], after: readonly PlanItem[]): Difference[] {
	const totals = (list: readonly PlanItem[]) => {
		const byName = new Map<string, number>();
		for (const item of list) byName.set(item.name, (byName.get(item.name) ?? 0) + lineCents(item));
		return byName;
	};
	const [was, is] = [totals(before), totals(after)];
	return [...new Set([...was.keys(), ...is.keys()])]
		.map((name) => ({ name, beforeCents: was.get(name) ?? 0, afterCents: is.get(name) ?? 0 }))
		.filter((d) => d.beforeCents !== d.afterCents)
		.sort((a, b) => Math.abs(b.afterCents - b.beforeCents) - Math.abs(a.afterCents - a.beforeCents));
}
