import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { StoredOrderInput } from './input';

export type Order = Stored<StoredOrderInput>;
export const orders = createRepository<Order>('orders', 'order', 'id');
