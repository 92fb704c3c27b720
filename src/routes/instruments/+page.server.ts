import { addressBook } from '$lib/server/services/instrument-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async () => ({ book: await addressBook() });
