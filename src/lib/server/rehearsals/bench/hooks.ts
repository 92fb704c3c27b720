import { instruments, rehearsals } from '../../records';
import type { HooksByKind } from '../../records/hooks';
import { benchStateOf } from './bench';

/** The rehearsal that is on the bench now, else the latest; null where there is none. */
async function rehearsalOnBench(): Promise<number | null> {
	const all = await rehearsals.all({});
	for (const rehearsal of [...all].reverse()) if (await benchStateOf(rehearsal)) return rehearsal.bankId;
	return all.at(-1)?.bankId ?? null;
}

export const INSTRUMENT_HOOKS: HooksByKind = {
	calibrations: {
		/** A simulated meter is another one in each rehearsal: what it was held against says nothing of the next. */
		async adds({ meter }) {
			const [own] = typeof meter === 'string' ? await instruments.all({ name: meter }) : [];
			return own?.bundled ? { bankId: await rehearsalOnBench() } : {};
		}
	}
};
