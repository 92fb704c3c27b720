import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { CalibrationInput } from './input';

export type CalibrationRow = Stored<Omit<CalibrationInput, 'clientKey'>> & {
	/** The rehearsal whose simulated meter it is of; null: a real one. */
	bankId: number | null;
};

/** Those that hold on the bench of a bank: a rehearsal’s meters are its own. */
export const calibrationsFor = async (bank: { id: number; rehearsal: boolean } | null): Promise<CalibrationRow[]> =>
	(await calibrations.all({})).filter((c) => c.bankId === (bank?.rehearsal ? bank.id : null));
export const calibrations = createRepository<CalibrationRow>('calibrations', 'calibration', 'calibratedOn', {
	json: ['pairs']
});
