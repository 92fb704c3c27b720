<script lang="ts">
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import BenchHands from '$lib/components/rehearsals/BenchHands.svelte';
	import Conclusions from '$lib/components/rehearsals/Conclusions.svelte';
	import Truth from '$lib/components/rehearsals/Truth.svelte';
	import { rehearsalVerdicts } from '$lib/components/rehearsals/rehearsal-words';
	import type { Finding } from '$lib/core/world/rehearsal';

	let { data } = $props();
	const bank = $derived(data.overview.bank);
	const rehearsal = $derived(data.rehearsal);
	let busy = $state(false);

	async function hands(move: object) {
		busy = true;
		if (await attempt(() => api.post(`banks/${bank.id}/rehearsal/hands`, move))) await lookAgain();
		busy = false;
	}
	async function probe(place: object): Promise<number | null> {
		let volts: number | null = null;
		await attempt(async () => {
			await api.post(`banks/${bank.id}/rehearsal/hands`, place);
			volts = (await api.post(`banks/${bank.id}/rehearsal/probe`, {})).voltageV;
		});
		await lookAgain();
		return volts;
	}
	async function reveal(conclusions: Finding[]) {
		busy = true;
		if (await attempt(() => api.post(`banks/${bank.id}/rehearsal/reveal`, { conclusions }))) await lookAgain();
		busy = false;
	}
	const verdicts = $derived(
		rehearsalVerdicts(rehearsal.judgement, rehearsal.bench?.wiring ?? null, data.overview.current)
	);
</script>

<StagePage title={rehearsal.revealedAt ? 'The truth' : 'The bench'} subtitle={rehearsal.story} {verdicts}>
	<div class="grid grid-cols-[minmax(0,1fr)] gap-4">
		{#if rehearsal.judgement}
			<Truth judgement={rehearsal.judgement} />
			<details class="sheet p-2">
				<summary class="tap flex cursor-pointer items-center gap-2 px-2"
					><span aria-hidden="true">›</span><strong>Look for what was missed</strong>
					<span class="muted">the bench is as you left it</span></summary
				>
				<p class="px-2 py-1">
					The hands below and the screens of Build, Prove and Serve still work on this bench: find each defect you
					missed where a real bench would show it.
				</p>
				<BenchHands
					bench={rehearsal.bench}
					cells={rehearsal.cells}
					leads={rehearsal.leads}
					{busy}
					onmove={hands}
					onprobe={probe}
				/>
			</details>
		{:else}
			<BenchHands
				bench={rehearsal.bench}
				cells={rehearsal.cells}
				leads={rehearsal.leads}
				{busy}
				onmove={hands}
				onprobe={probe}
			/>
			<Conclusions
				cells={rehearsal.cells}
				leads={rehearsal.leads}
				suggested={rehearsal.suggested}
				{busy}
				onreveal={reveal}
			/>
		{/if}
	</div>
</StagePage>
