<script lang="ts">
	import { untrack } from 'svelte';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { askToNotify } from '$lib/client/live/alarm';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { followSamples, hearLive, type LiveSampleShown } from '$lib/client/live/live-line';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import ConfirmValues from '$lib/components/instruments/ConfirmValues.svelte';
	import EventList from '$lib/components/instruments/EventList.svelte';
	import LiveChart from '$lib/components/instruments/LiveChart.svelte';
	import LiveFigures from '$lib/components/instruments/LiveFigures.svelte';
	import WatchedGroups from '$lib/components/instruments/WatchedGroups.svelte';
	import { gapEnds, keptSamples } from '$lib/components/instruments/live-curve';
	import { liveVerdicts, phaseState, phaseWords, type ShownLive } from '$lib/components/instruments/live-words';
	import { LIVE_NAMES } from '$lib/core/foundation/live-run';
	import { pauseForNight } from '$lib/core/foundation/time';
	import { formatDateTime } from '$lib/core/foundation/units';

	/** Where a run of each kind is begun. */
	const BACK = { capacity: 'test', balance: 'balance/charge', watch: 'serve/logs' } as const;
	let { data } = $props();
	const run = $derived(data.live.run);
	// svelte-ignore state_referenced_locally
	let view = $state<ShownLive>(data.live.view as ShownLive);
	// svelte-ignore state_referenced_locally
	let samples = $state.raw<LiveSampleShown[]>(data.live.samples);
	let lineOpen = $state(true);
	let busy = $state(false);
	let confirm = $state<ConfirmValues | null>(null);

	const runId = $derived(data.live.run.id);
	$effect(() => {
		// Only another run begins anew; a refresh of the page's data does not.
		const start = untrack(() => samples.at(-1)?.atMs ?? 0);
		return followSamples(runId, start, {
			onSamples: (fresh) => (samples = keptSamples([...samples, ...fresh])),
			onLine: (open) => (lineOpen = open)
		});
	});
	$effect(() =>
		hearLive<ShownLive>((fresh) => {
			if (fresh.id === runId) view = fresh;
		})
	);
	const phase = $derived(view.phases[view.phase]);
	const limit = $derived(
		phase?.kind === 'discharge'
			? { y: phase.cutoffV, text: 'cut-off' }
			: phase?.kind === 'charge'
				? { y: phase.voltageV, text: 'set voltage' }
				: null
	);
	const gapEndsMs = $derived(gapEnds(view.events));
	const verdicts = $derived(liveVerdicts(view, lineOpen));
	const MARKS = { done: '✓', running: '▸', paused: '‖', stopped: '×', ahead: '·' };

	async function begin() {
		busy = true;
		void askToNotify();
		const done = await attempt(async () => {
			view = await api.post(`live-runs/${run.id}/begin`, { confirmed: data.live.values });
		});
		busy = false;
		if (done) await lookAgain();
	}
	async function stop() {
		const wasOn = view.state !== 'planned' && view.kind !== 'watch';
		busy = true;
		const done = await attempt(async () => {
			view = await api.post(`live-runs/${run.id}/stop`, {});
		});
		busy = false;
		if (done) {
			const unreached = view.events.some((e) => e.kind === 'output' && !e.seenAt);
			if (!unreached)
				announce(
					wasOn
						? 'Outputs are off. What was read is kept.'
						: view.kind === 'watch'
							? 'No longer watched. What was read is kept.'
							: 'Dropped. Nothing was switched.'
				);
			await lookAgain();
		}
	}
	/** Where it may need somebody while they sleep: when to pause it, and when to go on. A rehearsal has no night. */
	const night = $derived.by(() => {
		if (view.state !== 'running' || view.kind === 'watch' || !view.toEndS || data.overview.bank.rehearsal) return null;
		const nowMs = Date.now();
		const waking = { fromH: data.settings.wakeFromH, untilH: data.settings.wakeUntilH };
		const ends = { fromMs: nowMs + 1000 * view.toEndS.low, untilMs: nowMs + 1000 * view.toEndS.high };
		return pauseForNight(nowMs, ends.fromMs, ends.untilMs, waking, -new Date().getTimezoneOffset());
	});
	const clock = (ms: number) => formatDateTime(new Date(ms).toISOString(), data.settings.dateStyle);
	async function pause() {
		busy = true;
		const done = await attempt(async () => {
			view = await api.post(`live-runs/${run.id}/pause`, {});
		});
		busy = false;
		if (!done) return;
		announce('Paused, outputs off. “Go on” takes it up where it was.');
		await lookAgain();
	}
	async function seen(id: number) {
		await attempt(async () => {
			await api.post(`live-events/${id}/seen`, {});
			view = {
				...view,
				events: view.events.map((e) => (e.id === id ? { ...e, seenAt: new Date().toISOString() } : e))
			};
		});
	}
</script>

<StagePage
	title="{LIVE_NAMES[view.kind]} of {data.live.place}"
	subtitle={run.instruments.map((i) => i.name).join(' · ')}
	{verdicts}
>
	{#snippet tools()}
		{#if view.state === 'running'}
			<div class="flex gap-2">
				{#if view.kind !== 'watch'}<button class="btn tap" onclick={pause} disabled={busy}>Pause</button>{/if}
				<button class="btn btn-primary tap stop" onclick={stop} disabled={busy}
					>{view.kind === 'watch' ? 'Stop watching' : 'Switch outputs off and stop'}</button
				>
			</div>
		{:else if view.state !== 'ended'}
			<div class="flex gap-2">
				<button class="btn tap" onclick={stop} disabled={busy}
					>{view.state === 'planned' ? 'Remove this plan' : 'Switch outputs off and end'}</button
				>
				<button class="btn btn-primary tap" onclick={() => confirm?.ask()} disabled={busy}>
					{view.kind === 'watch' ? 'Begin' : view.state === 'waiting' ? 'Go on …' : 'Switch on …'}
				</button>
			</div>
		{/if}
	{/snippet}
	<ConfirmValues
		bind:this={confirm}
		values={data.live.values}
		onconfirm={begin}
		action={view.kind === 'watch' ? 'Begin' : 'Switch on'}
	/>
	<div class="grid grid-cols-[minmax(0,1fr)] gap-4">
		{#if night}<p class="sheet p-4 ember-text font-semibold">
				It may need you while you sleep. {night.pauseMs <= Date.now() + 60_000
					? 'Pause it now'
					: `Pause it at ${clock(night.pauseMs)}`}, and let it go on at {clock(night.goOnMs)}: what it has counted is
				kept.
			</p>{/if}
		<LiveFigures {view} {lineOpen} dateStyle={data.settings.dateStyle} />
		{#if view.phases.length > 1}
			<ol class="sheet grid gap-1 p-4" aria-label="Phases">
				{#each view.phases as p, i (i)}
					{@const stands = phaseState(view, i)}
					<li class:font-bold={stands === 'running' || stands === 'paused'} class:muted={stands === 'ahead'}>
						{MARKS[stands]}
						{phaseWords(p)}{stands === 'stopped' ? ': stopped before its end' : ''}
						{#if view.sums[i] && p.kind !== 'rest'}<span class="figure"
								>· {Math.abs(view.sums[i].ah).toFixed(1)} Ah</span
							>{/if}
					</li>
				{/each}
			</ol>
		{/if}
		{#if samples.some((s) => s.groupsV)}<WatchedGroups
				groupsV={samples.findLast((s) => s.groupsV)!.groupsV!}
				chemistry={data.overview.bank.chemistry}
				runId={run.id}
			/>{/if}
		<section class="sheet p-3" aria-label="Curve"><LiveChart {samples} {gapEndsMs} {limit} /></section>
		{#if view.runId}
			<p class="sheet p-4">
				The capacity has been entered. <a class="underline" href="/banks/{run.bankId}/test">Go on with the next cell</a>
				or see
				<a class="underline" href="/cells/{run.cellId}">this cell’s passport</a>.
			</p>
		{/if}
		{#if view.state === 'ended' && !view.runId && data.overview.bank.rehearsal}
			<p class="sheet p-4">
				The run is over; the bench is as it was left. <a class="underline" href="/banks/{run.bankId}/rehearsal"
					>Put right with your hands</a
				>
				what ended it (tighten a bar, reseat a lead, move the probes), then
				<a class="underline" href="/banks/{run.bankId}/{BACK[view.kind]}">begin another run</a>.
			</p>
		{/if}
		<EventList events={view.events} dateStyle={data.settings.dateStyle} onseen={seen} />
		<div class="room" aria-hidden="true"></div>
	</div>
</StagePage>

<style>
	/* In a hand the way to stop is under the thumb, whatever is being read. */
	@media (max-width: 640px) {
		.stop {
			position: fixed;
			inset: auto 0.75rem 3.5rem;
			z-index: 25;
			min-height: 3.5rem;
			font-size: 1.1rem;
		}
		.room {
			height: 4.5rem;
		}
	}
</style>
