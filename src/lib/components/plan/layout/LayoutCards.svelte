<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import { measure } from '$lib/client/settings/own-style';
	import type { Layout } from '$lib/core/plan/layouts';
	import { layoutKey, layoutName, money } from './layout-words';

	interface Props {
		layouts: readonly Layout[];
		currency: string;
		isChosen: (layout: Layout) => boolean;
		onchoose: (layout: Layout) => void;
		/** Puts a pinned one away; null: nothing is pinned. */
		onpin: ((layout: Layout) => void) | null;
	}
	let { layouts, currency, isChosen, onchoose, onpin }: Props = $props();
	const rows = (l: Layout): [string, string][] => [
		['Usable', `${(l.usableWh / 1000).toFixed(1)} kWh`],
		['Cells', `${l.cells} × ${l.cell.ratedAh} Ah, ${l.nominalV.toFixed(1)} V`],
		['Rate', `${l.cRate.toFixed(2)} C, at most ${l.peakCRate.toFixed(2)} C`],
		[
			'BMS',
			l.bmsA === null
				? 'none carries it'
				: `${l.batteries > 1 ? `${l.batteries} × ` : ''}${l.bmsA} A, 1.25 times the peak`
		],
		['Balance leads', `${l.senseChannels + l.batteries}`],
		[
			'One off',
			l.batteries === 1
				? 'all is off'
				: `${(l.leftWh / 1000).toFixed(1)} kWh left, ${l.othersCarry ? 'the peak is carried' : 'not the peak'}`
		],
		['Mass', l.massKg === null ? 'not known' : measure(l.massKg, 'mass', 0)],
		['Floor', l.footprintM2 === null ? 'not known' : `${l.footprintM2.toFixed(2)} m² of cells`],
		['Price', l.price === null ? 'not known' : money(l.price, currency)],
		['a usable kWh', l.pricePerUsableKwh === null ? 'not known' : money(l.pricePerUsableKwh, currency)]
	];
	/** What is told at first. */
	const FIRST = ['Usable', 'Cells', 'BMS', 'Price'];
</script>

{#snippet figures(own: readonly [string, string][])}
	<dl class="rows my-1">
		{#each own as [name, value] (name)}
			<div class="flex flex-wrap justify-between gap-x-3">
				<dt class="muted">{name}</dt>
				<dd class="text-right">{value}</dd>
			</div>
		{/each}
	</dl>
{/snippet}

<ul class="mt-4 grid gap-3 sm:grid-cols-2 xl:grid-cols-3" aria-label="Layouts side by side">
	{#each layouts as layout (layoutKey(layout))}
		<li class="sheet p-4" class:chosen={isChosen(layout)}>
			<div class="flex items-baseline justify-between gap-2">
				<h3 class="text-xl font-bold">{layoutName(layout)}</h3>
				<span class="muted">{layout.cell.name}</span>
			</div>
			{@render figures(rows(layout).filter(([name]) => FIRST.includes(name)))}
			<PhoneFold title="All figures" bare
				>{@render figures(rows(layout).filter(([name]) => !FIRST.includes(name)))}</PhoneFold
			>
			<div class="flex flex-wrap gap-2">
				{#if isChosen(layout)}<p class="tap flex items-center font-semibold">This is the bank.</p>
				{:else if layout.refusals.length === 0}<button class="btn btn-primary tap" onclick={() => onchoose(layout)}
						>Choose it</button
					>{/if}
				{#if onpin}<button class="btn btn-ghost tap" onclick={() => onpin(layout)}>Put away</button>{/if}
			</div>
		</li>
	{/each}
</ul>

<style>
	@media (max-width: 640px) {
		.rows {
			display: grid;
			grid-template-columns: repeat(2, minmax(0, 1fr));
			gap: 0 1rem;
			font-size: 0.9rem;
			line-height: 1.25;
		}
	}
	.chosen {
		box-shadow: 0 0 0 2px var(--color-base-content);
	}
</style>
