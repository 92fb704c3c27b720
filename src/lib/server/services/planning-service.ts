import { checkLabelFigures, type LabelCheck } from '$lib/core/planning';
import type { LabelRequest } from '$lib/input/planning';

/** A label's figures against each other. @throws CoreError */
export const checkLabel = (label: LabelRequest): LabelCheck => checkLabelFigures(label);
