import { rehearsalChoices } from '$lib/server/services/rehearsal-service';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ choices: rehearsalChoices() });
