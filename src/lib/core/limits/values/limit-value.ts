export interface LimitValue {
	key: string;
	/** Where it is set, and its name in words. */
	device: 'BMS' | 'charger' | 'load';
	label: string;
	value: number;
	unit: 'V' | 'A' | '°C' | 'Ah';
	/** Value at which a trip clears, same unit; null when it does not trip. */
	release: number | null;
	delayS: number | null;
	/** How long the release must be held before it clears, s; null: not at all, or it does not trip. */
	releaseHeldS: number | null;
	reason: string;
}
