import type { OutputCorner } from '../../picture';

/** How a battery lies: chosen where it is drawn, stored with it; what is missing is as usual. */
export interface BatteryShape {
	/** Rows its groups lie in; null: as many as keep names readable. */
	rows?: number | null;
	/** The cells of a group two deep, their like poles meeting in its middle; null: all in one line. */
	squareBlocks?: boolean | null;
	/** Where battery − leaves, as the drawing is looked at; null: front left. */
	outputsAt?: OutputCorner | null;
}
