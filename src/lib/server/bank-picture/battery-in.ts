import { ServiceError } from '../errors';
import { batteries, type Battery } from '../records';

/** A battery by its id, where it is one of this bank. @throws ServiceError 404 */
export async function batteryIn(bankId: number, batteryId: unknown): Promise<Battery> {
	const battery = await batteries.get(Number(batteryId));
	if (battery.bankId !== bankId) throw new ServiceError(404, 'not-found', 'This bank has no such battery.');
	return battery;
}
