import type { ChemistryFigures, ChemistryKind } from './kinds/kind';
import { LFP } from './kinds/lfp';
import { LTO } from './kinds/lto';
import { NMC } from './kinds/nmc';

/** Cell chemistries the product recognises. LFP is what it is for; the others get their own limits. */
export const CHEMISTRIES = ['LFP', 'LTO', 'NMC'] as const;
export type Chemistry = (typeof CHEMISTRIES)[number];

/** What is known of each chemistry. */
export const CHEMISTRY_KINDS: Record<Chemistry, ChemistryKind> = { LFP, LTO, NMC };

/** One thing of every chemistry. */
export const byChemistry = <T>(of: (kind: ChemistryKind, chemistry: Chemistry) => T): Record<Chemistry, T> =>
	Object.fromEntries(CHEMISTRIES.map((c) => [c, of(CHEMISTRY_KINDS[c], c)])) as Record<Chemistry, T>;

/** Default figures per chemistry (typical; the cell maker's own take precedence). Volts per cell, degrees Celsius. */
export const CHEMISTRY_FIGURES: Record<Chemistry, ChemistryFigures> = byChemistry((kind) => kind.figures);

/** Where a cell's curve begins to rise to full, V: above it charge shows, below it stands on the plateau. */
export const KNEE_V: Record<Chemistry, number> = byChemistry((kind) => kind.risesToFullFromV);

/** A voltage so many times the highest a cell can rest at is no single cell's (default). */
const ABOVE_ONE_CELL = 1.2;

/** Above this, V, a reading is not of one cell: a slipped decimal, or more than one cell between the probes. */
export const mostOfOneCellV = (chemistry: Chemistry): number =>
	CHEMISTRY_FIGURES[chemistry].plausibleRestV[1] * ABOVE_ONE_CELL;
