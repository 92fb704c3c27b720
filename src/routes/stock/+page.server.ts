import { loaded } from '$lib/server/http/load';
import { stockPage } from '$lib/server/stock/stock';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ url }) => ({ stock: await loaded(stockPage(url.searchParams)) });
