import { goto } from '$app/navigation';
import { attempt } from './announce';
import { api } from './api';

/** Plans a live run and opens its page, where the values are shown and confirmed. */
export const planLive = (bankId: number, plan: object): Promise<boolean> =>
	attempt(async () => {
		const { run } = await api.post<{ run: { id: number } }>('live-runs', { bankId, ...plan });
		await goto(`/banks/${bankId}/live/${run.id}`);
	});
