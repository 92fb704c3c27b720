import { checkJoining, type JoinAnswer } from '$lib/core/balance';
import { forecast, type Forecast } from '$lib/core/forecast';
import { WHOLE_BANK } from '$lib/core/verdicts';
import type { ForecastRequest, JoinRequest } from '$lib/input/joining';

/** @throws CoreError */
export const joinCheck = (request: JoinRequest): JoinAnswer => checkJoining(request, WHOLE_BANK);

/** @throws CoreError */
export const forecastOf = ({ cells, groups, balance }: ForecastRequest): Forecast => forecast(cells, groups, balance);
