import type { BatteryService } from '$lib/core/stages';

/** What the pages of Serve are given of a battery. */
export type StageData = BatteryService;
