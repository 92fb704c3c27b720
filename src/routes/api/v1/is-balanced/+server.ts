import { BalanceQuestionInput } from '$lib/input/compute';
import { validated } from '$lib/input/validate';
import { endpoint, jsonBody } from '$lib/server/http/endpoint';
import { answerIsBalanced } from '$lib/server/stages/balance/questions';

export const POST = endpoint(async ({ request }) =>
	answerIsBalanced(validated(BalanceQuestionInput, await jsonBody(request)))
);
