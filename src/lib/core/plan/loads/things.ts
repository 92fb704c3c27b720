import { USUAL_LOADS, type PlannedLoad } from './loads';

/** A thing that may be put on the list of what is to run. */
export interface Thing {
	load: PlannedLoad;
	/** As somebody has made it theirs in a plan; else it is usual. */
	isOwn: boolean;
}

const same = (a: PlannedLoad, b: PlannedLoad) => JSON.stringify(a) === JSON.stringify(b);
const MAX = 100;

/**
 * The library of things: what was made one's own in any plan, by its name, in place of the usual one of that name; then the usual ones.
 * @param planned loads of all plans, the newest first
 */
export function libraryOf(planned: readonly PlannedLoad[]): Thing[] {
	const byName = new Map<string, PlannedLoad>();
	for (const load of planned) if (!byName.has(load.name)) byName.set(load.name, load);
	const usual = USUAL_LOADS.map((load): Thing => {
		const own = byName.get(load.name);
		byName.delete(load.name);
		return own && !same(own, load) ? { load: own, isOwn: true } : { load, isOwn: false };
	});
	const others = [...byName.values()].slice(0, MAX).map((load): Thing => ({ load, isOwn: true }));
	return [...others, ...usual];
}
