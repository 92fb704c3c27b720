import { rehearsalChoices } from '$lib/server/rehearsals/rehearsal';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ choices: rehearsalChoices() });
