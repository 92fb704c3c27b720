<script lang="ts">
	import { format, isSameDay, parseISO } from 'date-fns';
	import type { RunningWork } from '$lib/core/shared';

	interface Props {
		/** What needs a person first before the rest; at least one. */
		running: RunningWork[];
		/** Said where the page shows more than one bank. */
		bankName?: string;
	}
	let { running, bankName }: Props = $props();
	const rest = $derived(running.slice(1));

	/** By the clock the run is told in. */
	const clock = (iso: string, nowIso: string) =>
		format(parseISO(iso), isSameDay(parseISO(iso), parseISO(nowIso)) ? 'HH:mm' : 'EEE HH:mm');
	const isPast = (iso: string, nowIso: string) => parseISO(iso) <= parseISO(nowIso);
</script>

{#snippet work(w: RunningWork)}
	<div class="flex flex-wrap items-center gap-x-4 gap-y-0">
		{#if w.href}<a class="tap inline-flex items-center underline underline-offset-4" href={w.href}
				>{w.what}{bankName ? `, ${bankName}` : ''}</a
			>
		{:else}<span class="muted">{w.what}</span>{/if}
		<span class="figure">{w.figures}</span>
		{#if w.fraction !== null}<progress class="progress w-24" max="1" value={w.fraction} aria-label="Charge delivered"
			></progress>{/if}
		{#if w.waiting}<strong class="ember-text">waits for you</strong>
		{:else if w.needsYouFrom && w.needsYouUntil}
			<span
				>{isPast(w.needsYouFrom, w.nowIso) ? 'may need you any time until' : 'needs you'}
				{#if !isPast(w.needsYouFrom, w.nowIso)}<strong class="figure">{clock(w.needsYouFrom, w.nowIso)}</strong>
					to&nbsp;{/if}<strong class="figure">{clock(w.needsYouUntil, w.nowIso)}</strong></span
			>
		{:else}<span class="muted">{w.endless ? 'until you stop it' : 'end not known yet'}</span>{/if}
	</div>
{/snippet}

<div class="flex flex-wrap items-start gap-x-4 text-[0.95rem] max-sm:order-last max-sm:basis-full" role="status">
	{@render work(running[0]!)}
	{#if rest.length}
		<details class="rest">
			<summary class="tap inline-flex cursor-pointer items-center"
				>and {rest.length} more{rest.some((w) => w.waiting) ? ', waiting for you' : ''}</summary
			>
			{#each rest as w (w.href ?? w.what)}{@render work(w)}{/each}
		</details>
	{/if}
</div>
