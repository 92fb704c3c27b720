<script lang="ts">
	import { format, isSameDay, parseISO } from 'date-fns';
	import type { RunningWork } from '$lib/core/planning';

	let { running }: { running: RunningWork } = $props();

	/** By the clock the run is told in. */
	const now = $derived(parseISO(running.nowIso));
	const clock = (iso: string) =>
		isSameDay(parseISO(iso), now) ? format(parseISO(iso), 'HH:mm') : format(parseISO(iso), 'EEE HH:mm');
</script>

<div class="flex flex-wrap items-center gap-x-4 gap-y-0 text-[0.95rem]" role="status">
	{#if running.href}<a class="tap inline-flex items-center underline underline-offset-4" href={running.href}
			>{running.what}</a
		>
	{:else}<span class="muted">{running.what}</span>{/if}
	<span class="figure">{running.figures}</span>
	{#if running.fraction !== null}<progress
			class="progress w-24"
			max="1"
			value={running.fraction}
			aria-label="Charge delivered"
		></progress>{/if}
	{#if running.waiting}<strong class="ember-text">waits for you</strong>
	{:else if running.needsYouFrom && running.needsYouUntil}
		<span
			>{parseISO(running.needsYouFrom) <= now ? 'may need you any time until' : 'needs you'}
			{#if parseISO(running.needsYouFrom) > now}<strong class="figure">{clock(running.needsYouFrom)}</strong> to&nbsp;{/if}<strong
				class="figure">{clock(running.needsYouUntil)}</strong
			></span
		>
	{:else}<span class="muted">end not known yet</span>{/if}
</div>
