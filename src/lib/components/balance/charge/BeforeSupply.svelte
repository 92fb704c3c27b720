<script lang="ts">
	import { inOwnStyle } from '$lib/client/settings/own-style';
	import type { ComponentProps } from 'svelte';
	import { BALANCE_CHECKLIST } from '$lib/components/balance/charge/checklist';
	import BalanceLive from '$lib/components/instruments/BalanceLive.svelte';
	import { toUserUnits, unitOf } from '$lib/core/foundation/units';
	import ParallelRow from './ParallelRow.svelte';
	import type { BalanceData } from '../balance-data';

	/** What is ticked before a supply goes on, and the two ways to begin: by hand, or followed live. */
	interface Props {
		data: BalanceData;
		plan: { setV: number; setA: number };
		checks: Record<string, boolean>;
		allChecked: boolean;
		ontick: (key: string, done: boolean) => void;
		onstart: () => void;
		onfollow: ComponentProps<typeof BalanceLive>['onfollow'];
	}
	let { data, plan, checks, allChecked, ontick, onstart, onfollow }: Props = $props();
	const lying = $derived(data.balance.cells.map(({ label }) => ({ label, plusUp: true })));
	/** What forbids to join the cells, and so to begin. */
	const stop = $derived(data.balance.join?.verdict.warmth === 'stop' ? data.balance.join.verdict : null);
</script>

<section class="sheet p-4" aria-label="Before the supply goes on">
	<h2>Before the supply goes on</h2>
	{#if lying.length > 1}<ParallelRow cells={lying} plusAt={0} minusAt={lying.length - 1} />{/if}
	<ul class="my-2">
		{#each BALANCE_CHECKLIST as item (item.key)}
			<li>
				<label class="tap flex items-center gap-3"
					><input
						type="checkbox"
						class="checkbox"
						checked={checks[item.key] ?? false}
						onchange={(e) => ontick(item.key, e.currentTarget.checked)}
					/>{item.text(plan.setV.toFixed(2), plan.setA.toFixed(0))}</label
				>
			</li>
		{/each}
	</ul>
	{#if !data.overview.bank.rehearsal}
		<button class="btn btn-primary tap" disabled={!allChecked || stop !== null} onclick={onstart}
			>Record: supply switched on</button
		>
	{/if}
	<BalanceLive
		instruments={data.instruments}
		rehearsal={data.overview.bank.rehearsal}
		bankId={data.overview.bank.id}
		ready={allChecked && !stop}
		temperatureUnit={unitOf('temperature', data.settings.units)}
		roomTemperature={toUserUnits(data.roomC, 'temperature', data.settings.units)}
		{onfollow}
	/>
	{#if stop}<p class="mt-2 ember-text font-semibold">
			{inOwnStyle(stop.title)}. {inOwnStyle(stop.next ?? '')}
		</p>{/if}
</section>
