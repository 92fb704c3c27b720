import { listCellTypes } from '$lib/server/services/bank-service';
import { CSV_TABLES } from '$lib/server/services/exchange-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ cellTypes: await listCellTypes(), tables: Object.keys(CSV_TABLES) });
