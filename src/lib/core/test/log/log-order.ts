import { median } from '../../foundation/statistics';
import type { FaultCode } from '../../picture';

/** Readable samples as they are written: the clock may repeat itself or step back. */
export interface WrittenSamples {
	timeS: number[];
	voltageV: number[];
	currentA: number[];
	/** File line of each, from 1. */
	rows: number[];
}

/** A clock that goes on from an earlier time for so many samples was set back; fewer are rows out of place. */
const GOES_ON_FOR = 3;
/** The step it takes while it is being set back is that of so many samples before. */
const STEPS_BEFORE = 20;

/**
 * Samples with a clock that only goes forward. A repeated time and a row out of place are left out; a clock that was set back and
 * goes on is counted on from where it stood, with one usual step between.
 * @param tell names what was found, with its line
 * @returns the samples that are kept, and what the moments of setting back leave open of the charge, Ah, one sd
 */
export function inOrder(
	{ timeS, voltageV, currentA, rows }: WrittenSamples,
	tell: (code: FaultCode, row: number, message: string) => void
): WrittenSamples & { doubtAh: number } {
	const kept: WrittenSamples = { timeS: [], voltageV: [], currentA: [], rows: [] };
	let [offsetS, previousS, doubtAh] = [0, -Infinity, 0];
	const goesOn = (from: number) => {
		for (let k = from; k + 1 < from + GOES_ON_FOR; k++)
			if (!(timeS[k + 1]! > timeS[k]! && timeS[k + 1]! + offsetS < previousS)) return false;
		return true;
	};
	for (let i = 0; i < timeS.length; i++) {
		let t = timeS[i]! + offsetS;
		if (t === previousS) {
			tell('duplicate-row', rows[i]!, `Line ${rows[i]} repeats the time of the line before; left out.`);
			continue;
		}
		if (t < previousS) {
			const backS = previousS - t;
			if (!goesOn(i)) {
				tell(
					'clock-backwards',
					rows[i]!,
					`The clock goes back by ${backS.toFixed(0)} s at line ${rows[i]}; left out until it catches up.`
				);
				continue;
			}
			const latest = kept.timeS.slice(-STEPS_BEFORE);
			const stepS = median(latest.slice(1).map((s, k) => s - latest[k]!)) ?? timeS[i + 1]! - timeS[i]!;
			offsetS += backS + stepS;
			t = previousS + stepS;
			doubtAh = Math.hypot(doubtAh, (Math.abs(currentA[i]!) * stepS) / 2 / 3600);
			tell(
				'clock-restarted',
				rows[i]!,
				`The clock goes back by ${backS.toFixed(0)} s at line ${rows[i]} and goes on from there; counted on as if it had not.`
			);
		}
		previousS = t;
		kept.timeS.push(t);
		kept.voltageV.push(voltageV[i]!);
		kept.currentA.push(currentA[i]!);
		kept.rows.push(rows[i]!);
	}
	return { ...kept, doubtAh };
}
