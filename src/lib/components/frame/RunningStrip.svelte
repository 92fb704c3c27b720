<script lang="ts">
	import { format, isSameDay, parseISO } from 'date-fns';
	import { page } from '$app/state';
	import { mayFallInNight } from '$lib/core/foundation/time';
	import type { RunningWork } from '$lib/core/bank';

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
	/** It may need its person while they sleep: by the clock of whoever looks. A rehearsal has no night. */
	const byNight = (w: RunningWork) => {
		const { wakeFromH, wakeUntilH } = page.data.settings;
		if (!w.needsYouFrom || !w.needsYouUntil || w.rehearsal) return false;
		const fromMs = Math.max(Date.parse(w.needsYouFrom), Date.parse(w.nowIso));
		const untilMs = Math.max(fromMs, Date.parse(w.needsYouUntil));
		const waking = { fromH: wakeFromH, untilH: wakeUntilH };
		return mayFallInNight(fromMs, untilMs, waking, -new Date().getTimezoneOffset());
	};
	const isPast = (iso: string, nowIso: string) => parseISO(iso) <= parseISO(nowIso);
</script>

{#snippet work(w: RunningWork)}
	<div class="flex flex-wrap items-center gap-x-4 gap-y-0">
		{#if w.href}<a class="tap inline-flex items-center underline underline-offset-4" href={w.href}
				>{w.what}{bankName ? `, ${bankName}` : ''}</a
			>
		{:else}<span class="muted">{w.what}</span>{/if}
		<span class="figure">{w.figures}</span>
		{#if w.fraction !== null}<progress class="progress w-16" max="1" value={w.fraction} aria-label="Charge delivered"
			></progress>{/if}
		{#if w.waiting}<strong class="ember-text">waits for you</strong>
		{:else if w.needsYouFrom && w.needsYouUntil}
			<span
				>{isPast(w.needsYouFrom, w.nowIso) ? 'may need you any time until' : 'needs you'}
				{#if !isPast(w.needsYouFrom, w.nowIso)}<strong class="figure">{clock(w.needsYouFrom, w.nowIso)}</strong>
					to&nbsp;{/if}<strong class="figure">{clock(w.needsYouUntil, w.nowIso)}</strong>{#if byNight(w)}<span
						class="ember-text font-semibold">, maybe by night</span
					>{/if}</span
			>
		{:else}<span class="muted">{w.endless ? 'until you stop it' : 'end not known yet'}</span>{/if}
	</div>
{/snippet}

<div
	class="flex min-w-0 flex-1 basis-80 flex-wrap items-start gap-x-4 text-[0.95rem] max-sm:order-last max-sm:basis-full"
	role="status"
>
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
