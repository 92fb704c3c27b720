/** The stated accuracy of the two meters at the bench: ±(percent of reading + counts), counts as a value. */
export interface MeterSettings {
	voltMeterPercent: number;
	voltMeterCountsMv: number;
	ohmMeterPercent: number;
	ohmMeterCountsMohm: number;
}

/** What one person chose once: unit system, date style, theme, and what their meters are good for. */
export const UNIT_SYSTEMS = ['metric', 'us'] as const;
export const DATE_STYLES = ['day-first', 'month-first', 'iso'] as const;
export const THEMES = ['ash', 'coal'] as const;
export interface Settings extends MeterSettings {
	units: (typeof UNIT_SYSTEMS)[number];
	dateStyle: (typeof DATE_STYLES)[number];
	theme: (typeof THEMES)[number];
	/** Hours of the day in which one can be asked for something, local time. */
	wakeFromH: number;
	wakeUntilH: number;
	/** What prices are written in: a sign or three letters. */
	currency: string;
}
export const DEFAULT_SETTINGS: Settings = {
	units: 'metric',
	dateStyle: 'day-first',
	theme: 'ash',
	wakeFromH: 7,
	wakeUntilH: 22,
	currency: '€',
	voltMeterPercent: 0.05,
	voltMeterCountsMv: 2,
	ohmMeterPercent: 1,
	ohmMeterCountsMohm: 0.002
};

export type ConvertedQuantity = 'temperature' | 'mass' | 'length' | 'torque';

interface Conversion {
	metric: string;
	us: string;
	/** us = si × factor + offset */
	factor: number;
	offset: number;
}

/** Exact by definition: 1 lb = 0.45359237 kg, 1 in = 25.4 mm, 1 N·m = 8.850745767 in·lb. */
const CONVERSIONS: Record<ConvertedQuantity, Conversion> = {
	temperature: { metric: '°C', us: '°F', factor: 9 / 5, offset: 32 },
	mass: { metric: 'kg', us: 'lb', factor: 1 / 0.45359237, offset: 0 },
	length: { metric: 'mm', us: 'in', factor: 1 / 25.4, offset: 0 },
	torque: { metric: 'N·m', us: 'in·lb', factor: 8.850745767, offset: 0 }
};

/** Unit label in the chosen system. */
export function unitOf(quantity: ConvertedQuantity, units: Settings['units']): string {
	return CONVERSIONS[quantity][units];
}

/** From °C, kg, mm or N·m to the chosen system. `null` stays `null`. */
export function toUserUnits(
	value: number | null,
	quantity: ConvertedQuantity,
	units: Settings['units']
): number | null {
	if (value === null || units === 'metric') return value;
	return value * CONVERSIONS[quantity].factor + CONVERSIONS[quantity].offset;
}

/** From the chosen system back to °C, kg, mm or N·m. `null` stays `null`. */
export function fromUserUnits(
	value: number | null,
	quantity: ConvertedQuantity,
	units: Settings['units']
): number | null {
	if (value === null || units === 'metric') return value;
	return (value - CONVERSIONS[quantity].offset) / CONVERSIONS[quantity].factor;
}
