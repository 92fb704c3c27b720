import { MAX_GROUP_V } from '$lib/core/prove/joints';
import { InputError } from '$lib/input/validate';
import { defineKind } from '../kind';
import { OF_A_BATTERY, checkGroupLists, itsBattery } from '../of-a-battery';
import { BmsComparisonInput } from './input';
import { bmsComparisons, type BmsComparisonRow } from './row';

export const bmsComparisonKind = defineKind<BmsComparisonRow>({
	...OF_A_BATTERY,
	name: 'bms-comparisons',
	repository: bmsComparisons,
	called: ({ readAt }) => readAt.slice(0, 10),
	createInput: BmsComparisonInput,
	changeInput: BmsComparisonInput,
	columns: ['id', 'batteryId', 'readAt', 'bmsV', 'meterV', 'meter', 'notes'],
	async check(comparison, tx, before) {
		const { series } = await itsBattery(comparison, tx);
		const { bmsV, meterV } = comparison;
		checkGroupLists({ bmsV, meterV }, series, before);
		const odd = meterV.findIndex((v) => v !== null && Math.abs(v) > MAX_GROUP_V);
		if (odd >= 0)
			throw new InputError([
				{
					path: `meterV.${odd}`,
					message: `meterV.${odd} requires the voltage of one group, at most ${MAX_GROUP_V} V; got ${meterV[odd]} V. Is the decimal point right?`
				}
			]);
	}
});
