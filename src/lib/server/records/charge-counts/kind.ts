import { counterVerdict } from '$lib/core/prove/proofs';
import { defineKind } from '../kind';
import { OF_A_BATTERY } from '../of-a-battery';
import { ChargeCountInput } from './input';
import { chargeCounts, type ChargeCount } from './row';

export const chargeCountKind = defineKind<ChargeCount>({
	...OF_A_BATTERY,
	name: 'charge-counts',
	repository: chargeCounts,
	called: ({ chargedAh, dischargedAh }) => `${chargedAh.toFixed(1)} Ah in, ${dischargedAh.toFixed(1)} Ah out`,
	createInput: ChargeCountInput,
	changeInput: ChargeCountInput,
	columns: ['id', 'batteryId', 'countedAt', 'chargedAh', 'dischargedAh', 'notes'],
	async check({ chargedAh, dischargedAh }) {
		// What cannot be of one charge is refused while it can still be looked up.
		counterVerdict({ chargedAh, dischargedAh });
	}
});
