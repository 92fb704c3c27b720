import { defineKind } from '../kind';
import { CalibrationInput } from './input';
import { calibrations, type CalibrationRow } from './row';

export const calibrationKind = defineKind<CalibrationRow>({
	name: 'calibrations',
	repository: calibrations,
	called: ({ meter, quantity }) => `calibration of ${meter ?? 'the meter of the settings'} (${quantity})`,
	createInput: CalibrationInput,
	changeInput: CalibrationInput,
	parents: {},
	filters: ['quantity'],
	columns: null,
	keyed: true,
	// A meter belongs to the bench, not to a bank.
	archivedWith: null,
	// Every reading taken with it is looked at anew.
	banksOf: async (_, tx) => tx('banks').whereNull('deleted_at').pluck('id')
});
