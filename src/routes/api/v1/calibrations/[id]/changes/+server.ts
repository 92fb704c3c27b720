import { endpoint, idOf } from '$lib/server/http/endpoint';
import { calibrationChanges } from '$lib/server/services/calibration-service';

export const GET = endpoint(async ({ params }) => calibrationChanges(idOf(params.id!, 'calibration')));
