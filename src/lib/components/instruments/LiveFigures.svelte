<script lang="ts">
	import type { Duration } from '$lib/core/foundation/live-run';
	import { formatDateTime, formatDuration, formatNumber, type Settings } from '$lib/core/foundation/units';
	import { currentsTold } from '$lib/core/foundation/live-run';
	import { isCurrent, type ShownLive } from './live-words';

	interface Props {
		view: ShownLive;
		/** The page hears from the server. */
		lineOpen: boolean;
		dateStyle: Settings['dateStyle'];
	}
	let { view, lineOpen, dateStyle }: Props = $props();
	const sums = $derived(view.sums[view.phase] ?? view.sums.at(-1) ?? null);
	const volts = $derived(view.last?.cellV ?? view.last?.voltageV ?? null);
	/** What was read last is not what is: it is shown as such, and no current is told. */
	const current = $derived(isCurrent(view, lineOpen));
	/** What each instrument says of the one current, where more than one does. */
	const told = $derived.by(() => {
		const phase = view.phases[view.phase];
		if (!current || !phase || !view.last) return [];
		const all = currentsTold(phase, { ...view.last, outputOn: null, cutOff: false });
		return (view.last.alsoRead?.length ?? 0) > 0 ? all : [];
	});
	const isLast = $derived(view.phase === view.phases.length - 1);
	const span = ({ low, high }: Duration) =>
		formatDuration(low) === formatDuration(high)
			? formatDuration(low)
			: `${formatDuration(low)} to ${formatDuration(high)}`;
	const STATES = { planned: 'not begun', running: 'running', waiting: 'waits for you', ended: 'ended' };
</script>

<section class="sheet p-4" aria-label="Now">
	<dl class="grid grid-cols-2 gap-x-4 gap-y-3 sm:grid-cols-4">
		<div>
			<dt class="text-sm muted">
				{view.last?.cellV != null ? 'At the terminals' : 'Voltage'}{view.last && !current ? ', last read' : ''}
			</dt>
			<dd class="figure text-3xl font-semibold" class:muted={!current}>
				{formatNumber(volts, 3)}<span class="unit">V</span>
			</dd>
		</div>
		<div>
			<dt class="text-sm muted">Current</dt>
			<dd class="figure text-3xl font-semibold" class:muted={!current}>
				{current ? formatNumber(view.last?.currentA, 2) : '–'}<span class="unit">A</span>
			</dd>
		</div>
		<div>
			<dt class="text-sm muted">{sums && sums.ah < 0 ? 'Taken out' : 'Moved'}</dt>
			<dd class="figure text-3xl font-semibold">
				{formatNumber(sums ? Math.abs(sums.ah) : null, 2)}<span class="unit">Ah</span>
			</dd>
		</div>
		<div>
			<dt class="text-sm muted">Energy</dt>
			<dd class="figure text-3xl font-semibold">
				{formatNumber(sums ? Math.abs(sums.wh) : null, 1)}<span class="unit">Wh</span>
			</dd>
		</div>
	</dl>
	{#if told.length}
		<p class="mt-3 figure text-[0.95rem]">
			<span class="muted">Current by each:</span>
			{told.map((t) => `${t.name === 'bms' ? 'BMS' : t.name} ${t.currentA.toFixed(1)} A`).join(' · ')}
		</p>
	{/if}
	<div class="mt-3 flex flex-wrap gap-x-5 text-[0.95rem]" role="status">
		<span class="font-semibold" class:ember-text={view.state === 'waiting'}>{STATES[view.state]}</span>
		{#if view.last}<span class="muted"
				>{formatDateTime(new Date(view.last.atMs).toISOString(), dateStyle)} by the instrument’s clock</span
			>{/if}
		{#if view.remainingS && !isLast}<span>this phase ends in {span(view.remainingS)}</span>{/if}
		{#if view.kind !== 'watch' && view.state !== 'ended' && view.state !== 'waiting'}
			{#if view.toEndS}<span
					>{view.state === 'planned' ? 'will take' : 'needs you in'} <strong>{span(view.toEndS)}</strong></span
				>{:else}<span class="muted">end not known yet</span>{/if}
		{/if}
		{#if !lineOpen}<span class="ember-text font-semibold"
				>No line to the server: it goes on there; this page tries again.</span
			>{/if}
	</div>
</section>

<style>
	.unit {
		font-size: 1rem;
		margin-left: 0.35rem;
		color: var(--muted);
	}
</style>
