import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { CalibrationInput } from './input';

export type CalibrationRow = Stored<Omit<CalibrationInput, 'clientKey'>>;
export const calibrations = createRepository<CalibrationRow>('calibrations', 'calibration', 'calibratedOn', {
	json: ['pairs']
});
