import { CHEMISTRY_FIGURES, restVoltageCurve, type Chemistry } from '../../foundation/chemistry';
import { CoreError } from '../../foundation/errors';
import { type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

/** Across two neighbours, far minus to far plus: two cells in series, nothing, or what a meter picks up in the air. */
export type LinkState = 'linked' | 'off' | 'unclear' | 'unread';

/** A meter across nothing shows less, V (default); more is a ghost only where it stays far below two cells. */
const NOTHING_V = 0.1;

/**
 * What a reading across two neighbouring cells says of the link between them, with the balance plug out: about two cells' volts means that it is
 * still in; a ghost or zero means that it is off.
 * @param readV signed, V; null: not read
 */
export function linkState(chemistry: Chemistry, readV: number | null): LinkState {
	if (readV === null) return 'unread';
	if (!Number.isFinite(readV)) throw new CoreError('not-a-number', 'readV', 'readV requires a number of volts');
	const { dischargeLimitV, plausibleRestV } = CHEMISTRY_FIGURES[chemistry];
	const size = Math.abs(readV);
	if (size >= 2 * dischargeLimitV * 0.8 && size <= 2 * plausibleRestV[1] * 1.05) return 'linked';
	// A ghost is a leak through the meter or a balance lead: far from what two cells would show.
	return size <= dischargeLimitV / 2 ? 'off' : 'unclear';
}

/**
 * Whether every series link of a string is off before its cells are joined side by side. Across a gap both a link that is off and one that nobody
 * reached read 0 V: only pairs of neighbours, all of them, prove it; only with the balance plug out, which else joins them through its fuses; and
 * only by a meter that read a cell just before: one that is off, or whose probe is broken, shows nothing too.
 * @param readV of neighbours 1–2, 2–3 …, V; null: not read
 */
export function judgeLinksOff(
	chemistry: Chemistry,
	readV: readonly (number | null)[],
	{ balancePlugOut, meterProved }: { balancePlugOut: boolean; meterProved: boolean },
	subject: Subject
): Verdict {
	if (readV.length === 0) throw new CoreError('too-few', 'readV', 'readV requires one pair of neighbours or more');
	const states = readV.map((v) => linkState(chemistry, v));
	const placesOf = (state: LinkState) => states.flatMap((s, i) => (s === state ? [i + 1] : []));
	const facts = {
		linked: placesOf('linked'),
		unclear: placesOf('unclear'),
		unread: placesOf('unread'),
		pairs: readV.length,
		twoCellsV: 2 * restVoltageCurve(chemistry).at(0.5),
		meterProved,
		balancePlugOut,
		ghosts: readV.filter((v) => v !== null && Math.abs(v) > NOTHING_V).length
	};
	if (facts.linked.length) return say('links-still-on', 'stop', subject, facts);
	const proved = facts.unread.length === 0 && facts.unclear.length === 0 && balancePlugOut && meterProved;
	return say(proved ? 'links-off' : 'links-unproved', proved ? 'calm' : 'open', subject, facts);
}
