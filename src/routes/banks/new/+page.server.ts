import { listCellTypes } from '$lib/server/services/bank-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ cellTypes: await listCellTypes() });
