import { endpoint, idOf } from '$lib/server/http/endpoint';
import { calibrationChanges } from '$lib/server/address-book/calibration-changes';

export const GET = endpoint(async ({ params }) => calibrationChanges(idOf(params.id!, 'calibration')));
