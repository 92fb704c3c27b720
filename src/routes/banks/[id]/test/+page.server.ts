import { idOf } from '$lib/server/http/endpoint';
import { instrumentChoices } from '$lib/server/services/instrument-service';
import { roomTemperatureC } from '$lib/server/services/rehearsal-bench';
import { bankCapacities } from '$lib/server/services/run-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => {
	const id = idOf(params.id, 'bank');
	const [capacities, instruments, roomC] = await Promise.all([
		bankCapacities(id),
		instrumentChoices(),
		roomTemperatureC(id)
	]);
	return { ...capacities, instruments, roomC };
};
