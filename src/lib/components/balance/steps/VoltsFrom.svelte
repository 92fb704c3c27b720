<script lang="ts">
	import FileLink from '$lib/components/forms/FileLink.svelte';
	import { attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { fitting, type ShownInstrument } from '$lib/components/instruments/instrument-choice';
	import type { Chemistry } from '$lib/core/foundation/chemistry';
	import { CoreError } from '$lib/core/foundation/errors';
	import type { NextStep } from '$lib/core/balance/steps';
	import { LOG_SD_V, fullestMoment, groupPassings, parseGroupLog } from '$lib/core/foundation/snapshot';
	import { momentWanted, type TakenVolts } from './step-words';

	interface Props {
		bank: { id: number; chemistry: Chemistry; series: number; rehearsal: boolean };
		groupAh: number;
		instruments: readonly ShownInstrument[];
		step: NextStep;
		/** Volts of every group, from whatever reads them. */
		ontake: (taken: TakenVolts) => void;
	}
	let { bank, groupAh, instruments, step, ontake }: Props = $props();
	const bms = $derived(fitting(instruments, 'bms', bank.rehearsal)[0] ?? null);
	let busy = $state(false);
	let told = $state<string | null>(null);
	let error = $state<string | null>(null);

	async function readBms() {
		[busy, told, error] = [true, null, null];
		await attempt(async () => {
			const { groupsV, currentA, atMs } = await api.post(`banks/${bank.id}/read-battery`, { instrumentId: bms!.id });
			ontake({ volts: groupsV ?? [], currentA, passings: null, at: new Date(atMs).toISOString() });
		});
		busy = false;
	}
	async function takeLog(file: File) {
		[told, error] = [null, null];
		try {
			const { samples, groups } = parseGroupLog(await file.text());
			if (groups.length !== bank.series)
				throw new CoreError(
					'groups',
					'file',
					`The log has the volts of ${groups.length} groups, this battery has ${bank.series}: ${groups.join(', ')}.`
				);
			const wanted = momentWanted(step.step);
			const line = wanted === 'fullest' ? fullestMoment(samples) : samples.at(wanted === 'first' ? 0 : -1)!;
			const passings =
				wanted === 'fullest'
					? groupPassings({ chemistry: bank.chemistry, groupAh, samples, meterSdV: LOG_SD_V })
					: null;
			// A clock without a date says nothing of the day.
			const at = line.atMs > 1e11 ? new Date(line.atMs).toISOString() : null;
			ontake({ volts: [...line.groupsV!], currentA: line.currentA, passings, at });
			const which = wanted === 'fullest' ? 'where its groups stood highest' : `its ${wanted} one`;
			told = `${file.name}: line ${samples.indexOf(line) + 1} of ${samples.length}, ${which}${passings ? ', and the Ah between the groups passing one voltage' : ''}.`;
		} catch (cause) {
			if (!(cause instanceof CoreError)) throw cause;
			error = cause.message;
		}
	}
</script>

<div class="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1">
	{#if bms}<button type="button" class="btn tap" disabled={busy} onclick={() => void readBms()}
			>Read them by {bms.name}</button
		>{/if}
	<FileLink label="Log of {step.step}" accept=".csv,.txt,text/csv" onfile={(file) => void takeLog(file)}>
		or from a log: time, amperes, volts of each group
	</FileLink>
	{#if told}<p class="basis-full muted" role="status">{told}</p>{/if}
	{#if error}<p class="basis-full ember-text" role="alert">{error}</p>{/if}
</div>
