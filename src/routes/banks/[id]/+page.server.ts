import { redirect } from '@sveltejs/kit';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ parent, params }) => {
	const { overview } = await parent();
	redirect(307, `/banks/${params.id}/${overview.current}`);
};
