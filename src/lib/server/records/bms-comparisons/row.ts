import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { BmsComparisonInput } from './input';

export type BmsComparisonRow = Stored<Omit<BmsComparisonInput, 'clientKey'>>;
export const bmsComparisons = createRepository<BmsComparisonRow>(
	'bms_comparisons',
	'comparison of BMS and voltmeter',
	'readAt',
	{
		json: ['bmsV', 'meterV']
	}
);
