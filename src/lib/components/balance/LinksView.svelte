<script lang="ts">
	import { inOwnStyle } from '$lib/client/settings/own-style';
	import type { Snippet } from 'svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import { settingApart } from '$lib/client/entry/set-apart';
	import { bankLayout } from '$lib/core/plan/layouts';
	import { judgeLinksOff, linkState } from '$lib/core/balance/links';
	import type { BalanceData } from './balance-data';

	let { data, views }: { data: BalanceData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const pairs = $derived(Math.max(1, bank.series * (bankLayout(data.overview.batteries).built || 1) - 1));
	let typed = $state<string[]>([]);
	let plugOut = $state(false);
	let meterProved = $state(false);
	const volts = $derived(
		Array.from({ length: pairs }, (_, i) => {
			const text = (typed[i] ?? '').trim().replace(',', '.').replace('−', '-');
			const value = Number(text);
			return text === '' || !Number.isFinite(value) ? null : value;
		})
	);
	const isTyped = $derived(typed.some((text) => text?.trim()));
	const verdict = $derived(
		judgeLinksOff(
			bank.chemistry,
			volts,
			{ balancePlugOut: plugOut, meterProved },
			{ kind: 'bank', id: bank.id, label: bank.name }
		)
	);
	const SAYS = { linked: 'still linked', off: 'off', unclear: 'neither', unread: '' };
</script>

<StagePage
	title="Is every series link off?"
	subtitle="after a charge in series, before the cells are joined side by side"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'balance')}
>
	{@render views()}
	<section class="sheet grid gap-3 p-4" aria-label="Across each pair">
		<p>
			Charged in series until the BMS stopped it at the first full cell? Then every link comes off, and is proved off:
			one that stays in makes a short circuit of the row. Meter on volts, rings off, one hand; cover the neighbouring
			terminals.
		</p>
		<label class="tap flex items-center gap-3"
			><input type="checkbox" class="checkbox" bind:checked={plugOut} /> The balance plug is out</label
		>
		<label class="tap flex items-center gap-3"
			><input type="checkbox" class="checkbox" bind:checked={meterProved} /> The meter has just read one cell right</label
		>
		<ol class="grid grid-cols-[repeat(auto-fill,minmax(8.5rem,1fr))] gap-3">
			{#each volts as v, i (i)}
				{@const state = linkState(bank.chemistry, v)}
				<li data-state={state}>
					<label
						><span class="field-label">{i + 1} and {i + 2} <span class="muted font-normal">V</span></span>
						<input
							class="input tap figure w-full text-lg"
							inputmode="decimal"
							autocomplete="off"
							maxlength="9"
							bind:value={() => typed[i] ?? '', (text) => (typed[i] = text)}
						/></label
					>
					<span class={state === 'linked' ? 'ember-text font-semibold' : 'muted'}>{SAYS[state]}&nbsp;</span>
				</li>
			{/each}
		</ol>
		<p class="muted">Measure from the far negative of one cell to the far positive of its neighbour.</p>
		{#if isTyped || plugOut}
			<div class="said" data-warmth={verdict.warmth} role="status">
				<p class="text-lg font-bold">{inOwnStyle(verdict.title)}</p>
				<p>{inOwnStyle(verdict.finding)}</p>
				{#if verdict.next}<p class="font-semibold">{inOwnStyle(verdict.next)}</p>{/if}
				<p class="muted">{verdict.rule}</p>
			</div>
		{/if}
		{#if verdict.code === 'links-off'}<p>
				<a class="btn btn-primary tap" href="/banks/{bank.id}/balance/charge">On to the charge side by side</a>
			</p>{/if}
	</section>
</StagePage>

<style>
	.said {
		border: 2px solid var(--line);
		border-radius: 0.6rem;
		padding: 0.75rem 1rem;
	}
	.said[data-warmth='stop'] {
		border-color: var(--stop);
	}
</style>
