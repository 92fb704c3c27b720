<script lang="ts">
	import { format, isSameDay, parseISO } from 'date-fns';
	import type { RunningWork } from '$lib/core/planning';

	let { running }: { running: RunningWork } = $props();

	const clock = (iso: string) =>
		isSameDay(parseISO(iso), new Date()) ? format(parseISO(iso), 'HH:mm') : format(parseISO(iso), 'EEE HH:mm');
</script>

<div class="flex flex-wrap items-center gap-x-4 gap-y-0 text-[0.95rem]" role="status">
	<span class="muted">{running.what}</span>
	<span class="figure">{running.figures}</span>
	{#if running.fraction !== null}<progress
			class="progress w-24"
			max="1"
			value={running.fraction}
			aria-label="Charge delivered"
		></progress>{/if}
	{#if running.needsYouFrom && running.needsYouUntil}
		<span
			>{parseISO(running.needsYouFrom) <= new Date() ? 'may need you any time until' : 'needs you'}
			{#if parseISO(running.needsYouFrom) > new Date()}<strong class="figure">{clock(running.needsYouFrom)}</strong> to&nbsp;{/if}<strong
				class="figure">{clock(running.needsYouUntil)}</strong
			></span
		>
	{:else}<span class="muted">end not known yet: log a reading</span>{/if}
</div>
