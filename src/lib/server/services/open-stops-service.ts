import { cellsOf } from '$lib/core/verdicts';
import { bankVerdicts } from '../judgements/store';

/** What stops a cell of a bank from being used: said on every page until it is resolved or set apart. */
export async function openStops(bankId: number): Promise<{ title: string; next: string | null }[]> {
	const verdicts = await bankVerdicts(bankId, 'receive');
	return verdicts
		.filter((v) => v.warmth === 'stop' && cellsOf(v).length > 0 && !v.setApart)
		.map(({ title, next }) => ({ title, next }));
}
