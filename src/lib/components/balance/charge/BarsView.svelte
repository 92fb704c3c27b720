<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import type { Snippet } from 'svelte';
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import VerdictList from '$lib/components/verdicts/VerdictList.svelte';
	import { settingApart } from '$lib/client/entry/set-apart';
	import { barOhms, judgeBars, rowCurrents, type BarReading } from '$lib/core/balance/joining';
	import { parseNumber } from '$lib/core/foundation/units';
	import HarnessPlan from './HarnessPlan.svelte';
	import type { BalanceData } from '../balance-data';

	let { data, views }: { data: BalanceData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const cells = $derived(data.balance.cells);
	const n = $derived(Math.max(2, cells.length || bank.series * bank.parallel));
	const labelOf = (i: number) => cells[i]?.label ?? `No. ${i + 1}`;
	// svelte-ignore state_referenced_locally
	let at = $state({
		currentA: (data.balance.plan?.setA ?? data.balance.supply.supplyA) as number | null,
		barMohm: 0.15 as number | null,
		cellMohm: null as number | null,
		leads: 'corners' as 'corners' | 'one-end' | 'middle'
	});
	const cellMohm = $derived(
		at.cellMohm ?? cells.find((c) => c.resistanceMohm)?.resistanceMohm ?? 50 / (data.overview.cellType?.ratedAh ?? 100)
	);
	const places = $derived(
		at.leads === 'corners'
			? { plusAt: 0, minusAt: n - 1 }
			: at.leads === 'one-end'
				? { plusAt: 0, minusAt: 0 }
				: { plusAt: Math.floor(n / 2), minusAt: Math.floor(n / 2) }
	);
	const row = $derived({
		...places,
		...{ currentA: Math.max(0, at.currentA ?? 0), cellOhm: Math.max(1e-6, cellMohm / 1000) },
		...{ barOhm: Math.max(0, at.barMohm ?? 0) / 1000, restV: Array<number>(n).fill(3.33) }
	});
	const full = $derived(rowCurrents(row));
	const tailA = $derived(data.balance.plan?.tailA ?? row.currentA / 20);
	const tail = $derived(rowCurrents({ ...row, currentA: tailA }));
	const most = $derived(Math.max(1e-9, ...full.cellA));
	const mv = (v: number) => (v * 1000 < 1 ? (v * 1000).toFixed(2) : (v * 1000).toFixed(1));

	let side = $state<'plus' | 'minus'>('plus');
	let typed = $state<Record<string, string>>({});
	const readings = $derived(
		Object.entries(typed).flatMap(([key, text]): BarReading[] => {
			const value = parseNumber(text);
			const [which, place] = key.split('-');
			return value === null || !Number.isFinite(value) || Number(place) >= n - 1
				? []
				: [{ side: which as 'plus' | 'minus', at: Number(place), acrossV: value / 1000 }];
		})
	);
	const ohms = $derived(readings.length ? barOhms(row, readings) : []);
	const ohmOf = (which: string, place: number) => {
		const i = readings.findIndex((r) => r.side === which && r.at === place);
		return i < 0 ? null : (ohms[i] ?? null);
	};
	const verdicts = $derived(
		readings.length ? judgeBars(row, readings, { kind: 'bank', id: bank.id, label: bank.name }) : []
	);
</script>

<StagePage
	title="Bars and leads"
	subtitle="what flows into each cell of the row, and each bar by its millivolts"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'balance')}
>
	{@render views()}
	<HarnessPlan
		labels={Array.from({ length: n }, (_, i) => labelOf(i))}
		{...places}
		widthMm={data.overview.cellType?.widthMm ?? null}
		thicknessMm={data.overview.cellType?.thicknessMm ?? null}
	/>
	<PhoneFold title="Where the supply’s leads sit" answer={`${mv(tail.spreadV)} mV apart at the tail`} class="mb-4">
		<Choice
			label="The supply’s leads sit"
			bind:value={at.leads}
			options={[
				{ value: 'corners', text: 'at opposite corners' },
				{ value: 'one-end', text: 'both at one end' },
				{ value: 'middle', text: 'both in the middle' }
			]}
		/>
		<div class="grid grid-cols-2 items-start gap-3 sm:grid-cols-4">
			<Field label="Into the row" unit="A" type="number" min="0" bind:value={at.currentA} />
			<Field label="A bar with its joints" unit="mΩ" type="number" min="0" bind:value={at.barMohm} />
			<Field
				label="A cell"
				unit="mΩ"
				type="number"
				min="0"
				bind:value={at.cellMohm}
				placeholder={cellMohm.toFixed(2)}
			/>
		</div>
		<ol class="shares" aria-label="Current into each cell">
			{#each full.cellA as a, i (i)}
				<li>
					<span class="name">{labelOf(i)}</span>
					<span class="bar" style:width="{Math.max(0.5, (60 * a) / most)}%"></span>
					<span class="figure">{a.toFixed(2)} A</span>
				</li>
			{/each}
		</ol>
		<p>
			At {row.currentA.toFixed(0)} A the cells stand <strong class="figure">{mv(full.spreadV)} mV</strong> apart at
			their own terminals; at the tail of {tailA.toFixed(1)} A <strong class="figure">{mv(tail.spreadV)} mV</strong>.
			{tail.spreadV < 0.002
				? 'At the tail the place of the leads no longer matters.'
				: 'Even at the tail the place of the leads matters: opposite corners, or better bars.'}
		</p>
	</PhoneFold>
	<PhoneFold title="Millivolts across each bar" answer="read while current flows">
		<p>
			While {row.currentA.toFixed(0)} A flow: probes on the two posts a bar joins, meter on millivolts. Either sign.
		</p>
		<Choice
			label="Side"
			quiet
			bind:value={side}
			options={[
				{ value: 'plus', text: 'plus side' },
				{ value: 'minus', text: 'minus side' }
			]}
		/>
		<ol class="grid grid-cols-[repeat(auto-fill,minmax(10rem,1fr))] gap-3">
			{#each Array.from({ length: n - 1 }, (_, i) => i) as i (i)}
				{@const ohm = ohmOf(side, i)}
				<li>
					<label
						><span class="field-label">{labelOf(i)} to {labelOf(i + 1)} <span class="muted font-normal">mV</span></span>
						<input
							class="input tap figure w-full"
							inputmode="decimal"
							autocomplete="off"
							maxlength="9"
							bind:value={() => typed[`${side}-${i}`] ?? '', (text) => (typed[`${side}-${i}`] = text)}
						/></label
					>
					<span class="muted figure"
						>{ohm
							? `${(ohm.low95 * 1000).toFixed(2)} … ${(ohm.high95 * 1000).toFixed(2)} mΩ`
							: typed[`${side}-${i}`]
								? 'too little flows'
								: ''}&nbsp;</span
					>
				</li>
			{/each}
		</ol>
		{#if verdicts.length}<VerdictList {verdicts} />{/if}
		<p class="muted">
			A cell whose own volts do not follow when the supply goes on or off stands in no row: its bar does not carry.
		</p>
	</PhoneFold>
</StagePage>

<style>
	.shares li {
		display: flex;
		align-items: center;
		gap: 0.6rem;
	}
	.name {
		width: 4rem;
	}
	.bar {
		height: 0.7rem;
		border-radius: 0.3rem;
		background: var(--color-base-content);
	}
</style>
