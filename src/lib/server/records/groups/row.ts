import { createRepository, type Recorded } from '../../db/repository';

/** Cells in parallel acting as one. */
export type Group = Recorded & { batteryId: number; position: number };
export const groups = createRepository<Group>('groups', 'group', 'position');
