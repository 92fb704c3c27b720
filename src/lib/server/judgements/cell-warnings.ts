import { refreshSoon } from './behind';
import { warningsSaidLast } from './store';
import type { CellWarning } from './warnings-of-cells';

export type { CellWarning } from './warnings-of-cells';

/** Judging what is out of date holds a list of cells up for so long, ms. */
const PATIENCE_MS = 250;

/**
 * What some banks say of single cells that wants a look, the warmest of each by cell id.
 * A cell of several banks has the warmest of theirs. `beingJudged`: banks of which this is what was said before; they are judged behind it.
 */
export async function cellWarnings(
	bankIds: readonly number[],
	patienceMs = PATIENCE_MS
): Promise<{ warnings: Map<number, CellWarning>; beingJudged: number[] }> {
	const beingJudged = await refreshSoon(patienceMs, bankIds);
	return { warnings: await warningsSaidLast(bankIds), beingJudged };
}
