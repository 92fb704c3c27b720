import { goto } from '$app/navigation';
import { attempt } from './announce';
import { api } from '../api/api';
import type { BodyFor } from '../api/api-shapes';

/** Plans a live run and opens its page, where the values are shown and confirmed. */
export const planLive = (bankId: number, plan: Omit<BodyFor<'post', 'live-runs'>, 'bankId'>): Promise<boolean> =>
	attempt(async () => {
		const { run } = await api.post('live-runs', { bankId, ...plan });
		await goto(`/banks/${bankId}/live/${run.id}`);
	});
