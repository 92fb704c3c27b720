import type { BankPicture, LatestTest } from '$lib/core/stages';

/** The latest capacity test of each battery of a bank. */
export const latestTests = async ({ batteryTests }: BankPicture): Promise<LatestTest[]> => [...batteryTests];
