/** Limits of what is built in series (default): groups apart by a share of the smallest, cells' resistance by a factor, age by months. */
export const BUILD_LIMITS = { groupSpread: 0.08, resistanceFactor: 1.6, ageMonths: 12 };
