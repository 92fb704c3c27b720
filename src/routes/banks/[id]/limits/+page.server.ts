import { formFields } from '$lib/input/form-fields';
import { idOf } from '$lib/server/http/endpoint';
import { formAction } from '$lib/server/http/form-action';
import { loaded } from '$lib/server/http/load';
import { keepStrategy, keepWiring } from '$lib/server/stages/limits/forms';
import { limitsPage } from '$lib/server/stages/limits/page';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ params }) => loaded((async () => limitsPage(idOf(params.id, 'bank')))());

const said = 'Kept. The sheet below follows.';

export const actions: Actions = {
	strategy: formAction(async (form, { params }) => {
		await keepStrategy(idOf(params.id!, 'bank'), formFields(form, { strategy: 'text', version: 'number' }));
		return { said };
	}),
	/** Fuse, cable and BMS are those of one battery; whoever keeps them has seen the strategy beside them. */
	wiring: formAction(async (form, { params }) => {
		const kinds = {
			bmsA: 'number',
			bmsResolutionV: { times: 0.001 },
			fuseA: 'number',
			cableA: 'number',
			standbyA: { times: 0.001 },
			version: 'number'
		} as const;
		const { batteryId } = formFields(form, { batteryId: 'text' });
		await keepWiring(idOf(params.id!, 'bank'), idOf(String(batteryId), 'battery'), formFields(form, kinds));
		return { said };
	})
};
