/** One look at a running parallel charge. */
export interface ChargeReading {
	/** Seconds since the supply was switched on. */
	timeS: number;
	supplyV: number | null;
	supplyA: number;
	/** Meter at the cells' own terminals, V. */
	cellV: number | null;
	/** Charge delivered so far by the supply's counter, Ah; null: integrated from the current. */
	deliveredAh: number | null;
	/** The charger has stopped by itself: its light, its timer; null or missing: it goes on, or nobody said. */
	stopped?: boolean | null;
	/** The supply’s counter began at 0 since the count before (true), or went on (false); null or missing: nobody said. */
	counterAnew?: boolean | null;
}
