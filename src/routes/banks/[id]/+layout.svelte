<script lang="ts">
	import { bankLayout, layoutText } from '$lib/core/plan/layouts';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { page } from '$app/state';
	import RunningStrip from '$lib/components/frame/RunningStrip.svelte';
	import StageRail from '$lib/components/frame/StageRail.svelte';
	import WhereWasI from '$lib/components/frame/WhereWasI.svelte';
	import TopBar from '$lib/components/frame/TopBar.svelte';

	import { formatDate } from '$lib/core/foundation/units';

	let { data, children } = $props();
	const bank = $derived(data.overview.bank);
	const sized = $derived(bankLayout(data.overview.batteries));
	const layout = $derived(layoutText(bank.series, bank.parallel, sized.built, sized.readyMade));
	/** Looked at again, while what is shown is of before. */
	const LOOKS_AGAIN_MS = 3000;
	$effect(() => {
		if (!data.overview.beingJudged) return;
		const timer = setTimeout(() => void lookAgain(), LOOKS_AGAIN_MS);
		return () => clearTimeout(timer);
	});
	const active = $derived(page.url.pathname.split('/')[3] ?? '');
</script>

<svelte:head><title>{bank.rehearsal ? 'Rehearsal: ' : ''}{bank.name} · Kind Ember</title></svelte:head>
<TopBar>
	<p class="flex items-baseline gap-3">
		<strong class="text-lg">{bank.name}</strong><span class="figure muted"
			>{layout}<span class="max-sm:sr-only">&nbsp;· {bank.chemistry}</span></span
		>
	</p>
	{#if bank.rehearsal}<a
			class="tap rehearsal-mark flex items-center px-3"
			href="/banks/{bank.id}/rehearsal"
			aria-current={active === 'rehearsal' ? 'page' : undefined}
			><span>Rehearsal: <span class="max-sm:sr-only">simulated cells · to the</span> bench</span></a
		>{/if}
	{#if data.overview.running.length}<RunningStrip running={data.overview.running} />{/if}
</TopBar>
<p class="hidden print:flex justify-between border-b pb-1 mb-3">
	<strong>{bank.name}</strong>
	<span
		>{layout} · {bank.chemistry}{bank.rehearsal ? ' · rehearsal, simulated cells' : ''} · {formatDate(
			new Date().toISOString(),
			data.settings.dateStyle
		)}</span
	>
</p>
<div class="frame" class:rehearsing={bank.rehearsal}>
	<StageRail bankId={bank.id} stages={data.overview.stages} {active} />
	{#key bank.id}<div class="min-w-0">
			<WhereWasI bankId={bank.id} />
			{#if data.stops.length && active !== 'receive'}
				<a class="stops no-print" href="/banks/{bank.id}/receive/readings"
					><strong>Stop</strong>
					{data.stops[0]!.title}{data.stops.length > 1 ? `, and ${data.stops.length - 1} more` : ''}</a
				>
			{/if}
			{#if data.overview.beingJudged}<p class="judged no-print muted" role="status">
					This bank is being judged again. What you see is from before; the page updates itself.
				</p>{/if}
			{@render children()}
		</div>{/key}
</div>

<style>
	.frame {
		display: grid;
		grid-template-columns: 9.5rem minmax(0, 1fr);
	}
	.stops {
		display: block;
		margin: 0.75rem 1rem 0;
		padding: 0.55rem 0.9rem;
		border: 2px solid var(--stop);
		border-radius: 0.6rem;
	}
	.judged {
		margin: 0.75rem 1.25rem 0;
	}
	.stops strong {
		color: var(--ember-text);
		margin-right: 0.4rem;
	}
	.frame.rehearsing {
		border-top: 4px dashed var(--line);
	}
	@media (max-width: 1023px) {
		.frame {
			display: block;
		}
	}
	@media print {
		.frame {
			display: block;
		}
	}
</style>
