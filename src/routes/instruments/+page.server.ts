import { loaded } from '$lib/server/http/load';
import { addressBook } from '$lib/server/address-book/instruments';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => loaded(addressBook().then((book) => ({ book })));
