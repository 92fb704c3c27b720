<script lang="ts">
	import Field from '$lib/components/forms/Field.svelte';
	import WhenField from '$lib/components/forms/WhenField.svelte';
	import Photos from '$lib/components/photos/Photos.svelte';
	import type { ChargeProgress } from '$lib/core/foundation/parallel-charge';
	import { byTheCalendarS } from '$lib/core/foundation/time';
	import { readingsInOrder, type LoggedReading } from '$lib/core/picture';
	import { PHASE_WORDS, unmetWords } from '$lib/core/foundation/parallel-charge';
	import { formatDateTime, formatDuration, formatPercent, type Settings } from '$lib/core/foundation/units';

	type Figures = Pick<LoggedReading, 'supplyV' | 'supplyA' | 'cellV' | 'deliveredAh'>;
	export type NewReading = Figures & { readAt: string; readDoubtS: number | null; stopped: boolean | null };
	interface Props {
		runId: number;
		readings: readonly LoggedReading[];
		progress: ChargeProgress | null;
		toDeliverAh: { low: number; high: number };
		/** It was ended: shown, not written any more. */
		ended: boolean;
		/** Its supply is on only so long; null: day and night. */
		hoursADay: number | null;
		dateStyle: Settings['dateStyle'];
		onlog: (reading: NewReading) => Promise<boolean>;
		onremove: (id: number, version: number) => void;
		/** Says of a reading whether its counter began at 0. */
		oncounter: (id: number, version: number, anew: boolean) => void;
		onend: () => void;
	}
	let {
		runId,
		readings,
		progress,
		toDeliverAh,
		ended,
		hoursADay,
		dateStyle,
		onlog,
		onremove,
		oncounter,
		onend
	}: Props = $props();
	const blank = () => ({ supplyV: null, supplyA: null, cellV: null, deliveredAh: null });
	let form = $state<Record<keyof Figures, number | null>>(blank());
	let readAt = $state<string | null>(null);
	let readDoubtS = $state<number | null>(null);
	let stopped = $state(false);

	const asked = $derived(new Set((progress?.counterAsks ?? []).flatMap((i) => readingsInOrder(readings)[i]?.id ?? [])));
	const unmetList = $derived((progress?.unmet ?? []).map(unmetWords).join('; '));
	const number = (v: number | null) => (v === null || (v as unknown) === '' ? null : Number(v));
	async function log(event: SubmitEvent) {
		event.preventDefault();
		const reading = {
			supplyV: number(form.supplyV),
			supplyA: number(form.supplyA) as number,
			cellV: number(form.cellV),
			deliveredAh: number(form.deliveredAh),
			readAt: readAt ?? new Date().toISOString(),
			readDoubtS,
			stopped: stopped ? true : null
		};
		if (!(await onlog(reading))) return;
		form = blank();
		stopped = false;
	}
	/** Switched off by hand, to go on another day: what flowed until now is counted, and nothing until it is on again. */
	const offForNow = () =>
		onlog({
			...{ supplyV: null, supplyA: 0, cellV: number(form.cellV), deliveredAh: number(form.deliveredAh) },
			...{ readAt: new Date().toISOString(), readDoubtS: null, stopped: null }
		});
	/** Earlier ones are shown when they are asked for. */
	const LATEST = 2;
	let all = $state(false);
	const latestFirst = $derived([...readings].reverse());
	const isOff = $derived(readings.at(-1)?.supplyA === 0);
	/** Ending what is not done is asked about once. */
	let sure = $state(false);
	const share = (ah: number, of: number) => formatPercent(Math.min(1, ah / of));
</script>

<section class="sheet p-4" aria-label="Log of the charge">
	<div class="flex flex-wrap items-baseline justify-between gap-3">
		<h2>Log of the charge</h2>
		{#if progress}
			<p>
				{progress.deliveredAh.toFixed(0)} Ah in ({share(progress.deliveredAh, toDeliverAh.high)} to {share(
					progress.deliveredAh,
					toDeliverAh.low
				)} of it), {PHASE_WORDS[progress.phase]}
				{#if progress.leadOhm !== null}· leads {(progress.leadOhm * 1000).toFixed(0)} mΩ{/if}
				{#if progress.remainingS && !ended}
					· <strong
						>{formatDuration(byTheCalendarS(progress.remainingS.low, hoursADay))} to {formatDuration(
							byTheCalendarS(progress.remainingS.high, hoursADay)
						)} to go{hoursADay ? `, at ${hoursADay} h a day` : ''}</strong
					>
				{/if}
			</p>
		{/if}
	</div>
	<div class="my-2"><Photos subjectKind="balance" subjectId={runId} label="the charger’s display" /></div>
	{#if !ended}<form class="my-2 grid grid-cols-2 items-end gap-x-3 gap-y-2 sm:grid-cols-5" onsubmit={log}>
			<div class="col-span-full"><WhenField bind:at={readAt} bind:doubtS={readDoubtS} label="Read" /></div>
			<Field label="Supply" unit="V" type="number" bind:value={form.supplyV} />
			<Field label="Supply" unit="A" type="number" bind:value={form.supplyA} required />
			<Field label="Cells, meter" unit="V" type="number" bind:value={form.cellV} />
			<Field label="Delivered" unit="Ah" type="number" bind:value={form.deliveredAh} />
			<button class="btn btn-primary tap">Log it</button>
			<label class="tap col-span-full flex items-center gap-3"
				><input
					type="checkbox"
					class="checkbox"
					bind:checked={stopped}
					onchange={() => stopped && (form.supplyA ??= 0)}
				/> it has stopped by itself: a green light, a timer</label
			>
		</form>
		{#if isOff}<p class="mb-3 font-semibold">
				The supply is off. When it is on again, log its volts and amperes: the days are added up.
			</p>{:else if readings.length}<button type="button" class="btn tap mb-3" onclick={() => void offForNow()}
				>Record: supply switched off, will continue</button
			>{/if}{/if}
	<div class="relative overflow-x-auto">
		<table class="table table-sm">
			<thead>
				<tr>
					<th>When</th>
					<th>Supply V</th>
					<th>Supply A</th>
					<th>Cells V</th>
					<th>Ah</th>
					<th><span class="sr-only">Take out</span></th>
				</tr>
			</thead>
			<tbody class="figure">
				{#each latestFirst.slice(0, all ? Infinity : LATEST) as r (r.id)}
					<tr>
						<td class="whitespace-nowrap">{formatDateTime(r.readAt, dateStyle)}</td>
						<td>{r.supplyV?.toFixed(2) ?? '–'}</td>
						<td>{r.supplyA.toFixed(1)}</td>
						<td>{r.cellV?.toFixed(3) ?? '–'}</td>
						<td
							>{r.deliveredAh?.toFixed(1) ?? '–'}
							{#if asked.has(r.id)}<span class="flex flex-wrap gap-2" role="group" aria-label="The counter">
									<button class="btn btn-sm tap" onclick={() => oncounter(r.id, r.version, true)}>began at 0</button>
									<button class="btn btn-sm tap" onclick={() => oncounter(r.id, r.version, false)}>went on</button>
								</span>{/if}</td
						>
						<td><button class="btn btn-ghost tap" onclick={() => onremove(r.id, r.version)}>Take out</button></td>
					</tr>
				{:else}
					<tr><td colspan="6">No reading yet.</td></tr>
				{/each}
			</tbody>
		</table>
	</div>
	{#if readings.length > LATEST}<button class="btn btn-ghost tap" aria-expanded={all} onclick={() => (all = !all)}
			>{all ? `Only the latest ${LATEST}` : `All ${readings.length} readings`}</button
		>{/if}
	{#if ended}
		<!-- Nothing more to do here: the page says how to go on. -->
	{:else if sure && !progress?.done}
		<div class="mt-3 grid gap-2" role="alert">
			<p class="font-semibold ember-text">
				It is not done. {unmetList ? `Still to reach: ${unmetList}` : 'No reading proves it'}. Ended now, it is not
				proved balanced; you can go on with it later.
			</p>
			<div class="flex flex-wrap gap-2">
				<button class="btn tap" onclick={onend}>End it, not proved balanced</button>
				<button class="btn btn-primary tap" onclick={() => (sure = false)}>Let it go on</button>
			</div>
		</div>
	{:else}
		<button
			class="btn {progress?.done ? 'btn-primary' : ''} tap mt-3"
			onclick={() => (progress?.done ? onend() : (sure = true))}>Record: supply switched off, end</button
		>
	{/if}
	<p class="mt-2 text-sm muted">
		Swelling, heat or smell: switch off at the wall and step back. Do not leave full cells held at the limit.
	</p>
</section>
