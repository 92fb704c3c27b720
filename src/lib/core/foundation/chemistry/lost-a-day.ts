import { MONTH_DAYS_MEAN } from '../time';

/** What a cell may lose by itself, share of its charge a day (3 % a month, default). */
export const LOST_A_DAY = 0.03 / MONTH_DAYS_MEAN;
