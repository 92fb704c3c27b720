import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { ModuleInput } from './input';

export type ModuleRow = Stored<Omit<ModuleInput, 'clientKey'>>;
export const modules = createRepository<ModuleRow>('modules', 'module', 'number', { json: ['groupsV', 'seen'] });
