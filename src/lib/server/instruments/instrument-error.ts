export type InstrumentFault = 'away' | 'silent' | 'nonsense' | 'refused';

/** Why an instrument gave no reading, in words that say what to do. */
export class InstrumentError extends Error {
	constructor(
		readonly fault: InstrumentFault,
		message: string
	) {
		super(message);
		this.name = 'InstrumentError';
	}
}
