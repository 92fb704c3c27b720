import { endpoint, idOf } from '$lib/server/http/endpoint';
import { deliveryReport } from '$lib/server/services/delivery-report-service';

export const GET = endpoint(async ({ params }) => deliveryReport(idOf(params.id!, 'delivery')));
