import { median } from 'd3-array';
import { CHEMISTRY_FIGURES, socBounds, type Chemistry, type SocBounds } from '../../foundation/chemistry';
import type { StopReason, ModuleMake } from '../../picture';
import { misread, whatWasRead } from '../../foundation/snapshot';
import { measured, type Subject, type Verdict } from '../../foundation/verdicts';
import { say } from '../verdicts';

/** A module that is still in one piece, as it was looked at. */
export interface WholeModule {
	subject: Subject;
	cells: readonly Subject[];
	/** Over its terminals, V, as read; null: not read. */
	voltageV: number | null;
	/** Over each group, from its minus, V; null: not read there; null or none: its taps were not read. */
	groupsV: readonly (number | null)[] | null;
	/** What was seen from outside that stops it. */
	seen: readonly StopReason[];
}

interface Terms {
	make: ModuleMake;
	chemistry: Chemistry;
	/** One sd of a voltage, V. */
	sdV: (volts: number) => number;
	/** Without current before it was read, s. */
	restS: number;
}

/** Readings over taps and over the terminals may differ by so many sds. */
const SUM_SDS = 3;

/** The charge of one group if all groups of the module are alike, from the volts over its terminals. */
function ifAlike(volts: number, { make, chemistry, sdV, restS }: Terms): SocBounds {
	return socBounds(chemistry, volts / make.series, sdV(volts) / make.series, restS);
}

/** The lowest volts that one group can have while the others make up the sum: each of them rests at most as high as a full cell does. */
export function lowestHidden(volts: number, sdV: number, series: number, chemistry: Chemistry): number {
	const [, highestRestV] = CHEMISTRY_FIGURES[chemistry].plausibleRestV;
	return Math.min(volts / series, volts - 1.96 * sdV - (series - 1) * highestRestV);
}

function ofTerminals(module: WholeModule, volts: number, others: readonly number[], terms: Terms): Verdict[] {
	const { make, chemistry, sdV } = terms;
	const { dischargeLimitV, chargeLimitV } = CHEMISTRY_FIGURES[chemistry];
	const sd = sdV(Math.abs(volts));
	const { series, parallel } = make;
	const read = { voltageV: measured(volts, sd), series, parallel };
	if (volts < 0) return [say('module-turned', 'stop', module.subject, read, module.cells)];
	const meanV = volts / series;
	const alike = ifAlike(volts, terms);
	const facts = {
		...read,
		meanV,
		chargeLow: alike.lowFraction,
		chargeHigh: alike.highFraction,
		lowestHiddenV: lowestHidden(volts, sd, series, chemistry)
	};
	if (meanV + (1.96 * sd) / series < dischargeLimitV)
		return [say('module-low', 'stop', module.subject, { ...facts, limitV: dischargeLimitV }, module.cells)];
	if (meanV - (1.96 * sd) / series > chargeLimitV)
		return [say('module-high', 'stop', module.subject, { ...facts, limitV: chargeLimitV }, module.cells)];
	const told: Verdict[] = [];
	const othersV = median(others);
	if (othersV !== undefined) {
		const mostV = series * Math.hypot(alike.widenedByV, ifAlike(othersV, terms).widenedByV);
		if (othersV - volts > mostV) {
			const apart = { ...read, othersV, missingV: othersV - volts, usuallyV: mostV };
			told.push(say('module-below-others', 'look', module.subject, apart, module.cells));
		}
	}
	const tapsRead = module.groupsV?.some((v) => v !== null) ?? false;
	return tapsRead ? told : [...told, say('module-volts', 'calm', module.subject, facts, module.cells)];
}

function ofTaps(module: WholeModule, groupsV: readonly (number | null)[], terms: Terms): Verdict[] {
	const { make, chemistry, sdV, restS } = terms;
	const { dischargeLimitV, chargeLimitV } = CHEMISTRY_FIGURES[chemistry];
	const odd = whatWasRead(groupsV, chemistry);
	if (odd.kind !== 'groups') return [misread(odd, module.subject)];
	const read = groupsV.flatMap((volts, i) => (volts === null ? [] : [{ group: i + 1, volts }]));
	if (read.length === 0) return [];
	const told: Verdict[] = [];
	const sum = read.reduce((all, r) => all + r.volts, 0);
	const sumSd = Math.hypot(...read.map((r) => sdV(Math.abs(r.volts))), sdV(Math.abs(module.voltageV ?? 0)));
	if (module.voltageV !== null && read.length === make.series && Math.abs(sum - module.voltageV) > SUM_SDS * sumSd) {
		const facts = { sumV: measured(sum, sumSd), voltageV: module.voltageV, differenceV: sum - module.voltageV };
		told.push(say('module-taps-disagree', 'look', module.subject, facts, module.cells));
	}
	const bounds = read.map((r) => ({ ...r, ...socBounds(chemistry, r.volts, sdV(Math.abs(r.volts)), restS) }));
	const middle = median(bounds, (b) => b.lowFraction)!;
	const low = bounds.filter(
		(b) => b.volts + 1.96 * sdV(Math.abs(b.volts)) < dischargeLimitV || b.highFraction < middle
	);
	const high = read.filter((r) => r.volts - 1.96 * sdV(r.volts) > chargeLimitV);
	const cellsOf = (groups: readonly { group: number }[]) =>
		module.cells.filter((_, i) => groups.some((g) => g.group === Math.floor(i / make.parallel) + 1));
	if (high.length)
		told.push(say('module-group-high', 'stop', module.subject, { high, limitV: chargeLimitV }, cellsOf(high)));
	const facts = {
		groups: read.length,
		lowestV: Math.min(...read.map((r) => r.volts)),
		highestV: Math.max(...read.map((r) => r.volts)),
		series: make.series,
		parallel: make.parallel
	};
	if (low.length === 0 && high.length) return told;
	if (low.length === 0) return [...told, say('module-groups-alike', 'calm', module.subject, facts, module.cells)];
	const below = low.some((b) => b.volts < dischargeLimitV);
	const named = {
		...facts,
		low: low.map((b) => ({ group: b.group, volts: b.volts })),
		limitV: below ? dischargeLimitV : null
	};
	return [...told, say('module-group-low', below ? 'stop' : 'look', module.subject, named, cellsOf(low))];
}

/**
 * What modules that came in one piece tell before they are taken apart: the sum hides its cells, so that only what must be so is
 * said, and how low one of them may stand unseen; with its taps read, group by group.
 * @param modules of one delivery, alike in make; in any order @returns none for none
 */
export function judgeModules(modules: readonly WholeModule[], terms: Terms, delivery: Subject): Verdict[] {
	if (modules.length === 0) return [];
	const own = modules.flatMap((module) => {
		const { voltageV, groupsV, seen, subject, cells } = module;
		const others = modules.flatMap((m) => (m !== module && m.voltageV !== null && m.voltageV > 0 ? [m.voltageV] : []));
		return [
			...(seen.length ? [say('module-damaged', 'stop', subject, { reasons: [...seen] }, cells)] : []),
			...(voltageV === null ? [] : ofTerminals(module, voltageV, others, terms)),
			...(groupsV ? ofTaps(module, groupsV, terms) : [])
		];
	});
	const waiting = modules.flatMap((m) => m.cells);
	const unread = modules.filter((m) => m.voltageV === null).length;
	const facts = { modules: modules.length, cells: waiting.length, unread };
	return [...own, say('modules-whole', 'open', delivery, facts, waiting)];
}
