import { endpoint } from '$lib/server/http/endpoint';
import { stockPage } from '$lib/server/stock/stock';

/** A page of the stock: every cell of one's own, where it is or was. `q`, `place` and `page` choose. */
export const GET = endpoint(async ({ url }) => stockPage(url.searchParams));
