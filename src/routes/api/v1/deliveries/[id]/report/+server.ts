import { endpoint, idOf } from '$lib/server/http/endpoint';
import { deliveryReport } from '$lib/server/stages/receive/delivery-report';

export const GET = endpoint(async ({ params }) => deliveryReport(idOf(params.id!, 'delivery')));
