import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { JointTorqueInput } from './input';

export type JointTorque = Stored<Omit<JointTorqueInput, 'clientKey'>>;
export const jointTorques = createRepository<JointTorque>('joint_torques', 'torque of a joint', 'tightenedAt');
