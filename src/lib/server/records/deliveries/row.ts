import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { DeliveryInput } from './input';

/** What arrived together. Cells of a rehearsed one are simulated and stay out of the stock. */
export type Delivery = Stored<DeliveryInput> & { rehearsal: boolean };
export const deliveries = createRepository<Delivery>('deliveries', 'delivery', 'receivedOn');
