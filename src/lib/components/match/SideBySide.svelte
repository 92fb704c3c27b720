<!-- Up to three arrangements beside each other, by what they give. -->
<script lang="ts">
	import { CHEMISTRY_FIGURES, type Chemistry } from '$lib/core/chemistry';
	import { forecast } from '$lib/core/forecast';
	import { gainWorth } from '$lib/core/service';
	import { weakestToTheEnds } from '$lib/core/matching';
	import type { Arrangement } from './arrangement';
	import type { ArrangementDesk } from './arrangement-desk.svelte';

	/** What an Ah of the smallest group is worth. */
	interface Worth {
		/** Of a group, Ah; null: no type is named. */
		ratedAh: number | null;
		endFraction: number;
		/** The smallest group of the order of arrival, Ah. */
		arrivalAh: number;
		pricePerAh: number | null;
		currency: string;
	}
	interface Props {
		desk: ArrangementDesk;
		/** The one on the board. */
		shown: Arrangement;
		cells: readonly { id: number; label: string; capacityAh: number }[];
		/** Series: of one battery. */
		bank: { series: number; chemistry: Chemistry };
		worth: Worth;
	}
	let { desk, shown, cells, bank, worth }: Props = $props();
	const { series, chemistry } = $derived(bank);
	const byId = $derived(new Map(cells.map((c) => [c.id, c])));
	const figures = $derived.by(() => (arrangement: Arrangement) => {
		const sums = arrangement.groups.map((g) => g.reduce((s, id) => s + (byId.get(id)?.capacityAh ?? 0), 0));
		const own = cells.map(({ id, capacityAh }) => ({ id, capacityAh }));
		const batteries = Array.from({ length: Math.ceil(arrangement.groups.length / series) }, (_, b) =>
			arrangement.groups.slice(b * series, (b + 1) * series)
		).map((groups) => forecast(own, groups, 'top'));
		const weakest = sums.indexOf(Math.min(...sums));
		const usableAh = batteries.reduce((sum, b) => sum + b.usableAh, 0);
		return {
			smallestAh: sums[weakest]!,
			spreadAh: Math.max(...sums) - Math.min(...sums),
			gained:
				worth.ratedAh === null || !(worth.arrivalAh > 0) || !(sums[weakest]! > 0)
					? null
					: gainWorth({ ...worth, ratedAh: worth.ratedAh, fromAh: worth.arrivalAh, toAh: sums[weakest]!, series }),
			kwh: (usableAh * series * CHEMISTRY_FIGURES[chemistry].nominalV) / 1000,
			ends: arrangement.groups[weakest]!.map((id) => byId.get(id)?.label ?? '').join(' + ')
		};
	});
	const sumOf = (group: readonly number[]) => group.reduce((s, id) => s + (byId.get(id)?.capacityAh ?? 0), 0);
	const along = $derived(weakestToTheEnds(shown.groups, series, sumOf));
	const alreadyAlong = $derived(JSON.stringify(along) === JSON.stringify(shown.groups));
	const toTheEnds = () => desk.show({ groups: along, spares: [...shown.spares] });
	/** Ah, years and money against the order of arrival. */
	function worthWords({ smallestAh, gained }: ReturnType<typeof figures>): string {
		const { years, money } = gained!;
		const more = (v: number, digits: number) => `${v < 0 ? '−' : '+'}${Math.abs(v).toFixed(digits)}`;
		const span = `${more(years.low95, 1)} to ${more(years.high95, 1)} years`;
		const paid = money === null ? '' : `, ${more(money, 0)} ${worth.currency} at the price paid`;
		return `${more(smallestAh - worth.arrivalAh, 1)} Ah, ${span}${paid}`;
	}
	const columns = $derived([
		{ name: 'On the board', arrangement: shown, kept: false },
		...desk.kept.map((k) => ({ ...k, kept: true }))
	]);
</script>

<section class="sheet mt-4 grid gap-3 p-4" aria-label="Side by side">
	<div class="flex flex-wrap items-center gap-3">
		<h2 class="grow">Side by side</h2>
		<button class="btn tap" disabled={!desk.canUndo} onclick={() => desk.undo()}>Undo</button>
		<button class="btn tap" disabled={alreadyAlong} onclick={toTheEnds}>Weakest to the ends</button>
		<button class="btn tap" disabled={!desk.canKeep} onclick={() => desk.keep($state.snapshot(shown) as Arrangement)}
			>Set this one beside</button
		>
	</div>
	{#if !desk.kept.length}
		{@const own = figures(shown)}
		{#if own.gained}<p>
				Against the order of arrival: <strong class="figure">{worthWords(own)}</strong>.
			</p>{/if}
	{/if}
	{#if desk.kept.length}
		<ul class="grid gap-3 sm:grid-cols-4">
			{#each columns as { name, arrangement, kept } (name)}
				{@const f = figures(arrangement)}
				<li class="grid content-start gap-1">
					<strong>{name}</strong>
					<span class="figure text-lg">{f.smallestAh.toFixed(2)} Ah</span>
					<span class="text-sm">smallest; spread <span class="figure">{f.spreadAh.toFixed(2)}</span> Ah</span>
					<span class="text-sm"><span class="figure">{f.kwh.toFixed(2)}</span> kWh balanced; ended by {f.ends}</span>
					{#if f.gained}<span class="text-sm">against arrival {worthWords(f)}</span>{/if}
					{#if kept}<span class="flex gap-2"
							><button class="btn tap" onclick={() => desk.show(arrangement)}>Show {name}</button><button
								class="btn btn-ghost tap"
								aria-label="Let go of {name}"
								onclick={() => desk.release(name)}>Let go</button
							></span
						>{/if}
				</li>
			{/each}
		</ul>
	{/if}
	<p class="muted">
		The middle of a battery runs warmer, and its ends are easier to watch, to reach and to change: the smallest groups
		may sit there. It changes nothing of what it gives; keep it or not.
	</p>
	{#if !desk.kept.length}<p class="muted">
			Set an arrangement beside, change it, and see what each gives. Three at most; Ctrl+Z takes a step back.
		</p>{/if}
</section>
