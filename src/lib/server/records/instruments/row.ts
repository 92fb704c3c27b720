import { createRepository } from '../../db/repository';
import type { Stored } from '../kind';
import type { InstrumentInput } from './input';

export type Instrument = Stored<Omit<InstrumentInput, 'accuracyPercent' | 'accuracyFixed'>> & {
	bundled: boolean;
	accuracyPercent: number;
	/** V, Ω or A, by kind. */
	accuracyFixed: number;
};
export const instruments = createRepository<Instrument>('instruments', 'instrument', 'id');
