import { idOf } from '$lib/server/http/endpoint';
import { balanceState } from '$lib/server/services/balance-service';
import { instrumentChoices } from '$lib/server/services/instrument-service';
import { roomTemperatureC } from '$lib/server/services/rehearsal-bench';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const id = idOf(params.id, 'bank');
	const [balance, instruments, roomC] = await Promise.all([
		balanceState(id),
		instrumentChoices(),
		roomTemperatureC(id)
	]);
	return { balance, instruments, roomC };
};
