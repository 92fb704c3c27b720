import { followMethod, type MethodState } from '../steps';
import type { BankPicture } from '../../picture';

/** Where the latest balance by steps stands; null: there is none. */
export const methodStanding = ({ methodRun }: BankPicture): MethodState | null =>
	methodRun && followMethod(methodRun.run, methodRun.world);
