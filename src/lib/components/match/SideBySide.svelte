<!-- Up to three arrangements beside each other, by what they give. -->
<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import { sum } from 'd3-array';
	import { CHEMISTRY_FIGURES, type Chemistry } from '$lib/core/foundation/chemistry';
	import { knownOf, weakestToTheEnds, type MatchProblem } from '$lib/core/match/groups';
	import { EFC_PER_YEAR, gainWorth, yearsToEnd } from '$lib/core/foundation/fade';
	import type { Interval } from '$lib/core/foundation/statistics';
	import { rangeWords } from '$lib/core/foundation/verdicts';
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
		problem: MatchProblem;
		cells: readonly { id: number; label: string }[];
		/** Series: of one battery. */
		bank: { series: number; chemistry: Chemistry };
		worth: Worth;
	}
	let { desk, shown, problem, cells, bank, worth }: Props = $props();
	const { series, chemistry } = $derived(bank);
	const byId = $derived(new Map(cells.map((c) => [c.id, c])));
	const capacities = $derived(new Map(problem.cells.map((c) => [Number(c.id), c.capacityAh])));
	const sumOf = (group: readonly number[]) => group.reduce((s, id) => s + (capacities.get(id) ?? 0), 0);
	function figuresOf({ groups }: Arrangement) {
		const { smallestGroupAh, spreadAh, smallestAh, gainAh } = knownOf(problem, groups);
		const weakest = groups.reduce((w, g, i) => (sumOf(g) < sumOf(groups[w]!) ? i : w), 0);
		const batteries = Array.from({ length: Math.ceil(groups.length / series) }, (_, b) =>
			Math.min(...groups.slice(b * series, (b + 1) * series).map(sumOf))
		);
		const { ratedAh, endFraction } = worth;
		// What holds for its smallest group holds for all that end with one: as a share.
		const kwhOf = (ah: number) =>
			(ah / smallestGroupAh) * (sum(batteries) * series * (CHEMISTRY_FIGURES[chemistry].nominalV / 1000));
		return {
			...{ smallestGroupAh, spreadAh, smallestAh },
			years: ratedAh === null ? null : yearsToEnd({ ah: smallestAh, ratedAh, endFraction }),
			gained:
				ratedAh === null || !(worth.arrivalAh > 0) || !(smallestAh.low95 > 0)
					? null
					: { ah: gainAh, ...gainWorth({ ...worth, ratedAh, fromAh: worth.arrivalAh, gainAh, series }) },
			kwh: `${kwhOf(smallestAh.low95).toFixed(2)} to ${kwhOf(smallestAh.high95).toFixed(2)} kWh`,
			ends: groups[weakest]!.map((id) => byId.get(id)?.label ?? '').join(' + ')
		};
	}
	const along = $derived(weakestToTheEnds(shown.groups, series, sumOf));
	const alreadyAlong = $derived(JSON.stringify(along) === JSON.stringify(shown.groups));
	const toTheEnds = () => desk.show({ groups: along, spares: [...shown.spares] });
	/** Ah, years and money against the order of arrival, 95 %. */
	function worthWords({ ah, years, money }: NonNullable<ReturnType<typeof figuresOf>['gained']>): string {
		const more = (v: number, digits: number) => `${v < 0 ? '−' : '+'}${Math.abs(v).toFixed(digits)}`;
		const span = ({ low95, high95 }: Interval, digits: number) => `${more(low95, digits)} to ${more(high95, digits)}`;
		const paid = money === null ? '' : `, ${span(money, 0)} ${worth.currency} at the price paid`;
		return `${span(ah, 1)} Ah, ${span(years, 1)} years${paid}`;
	}
	/** Nobody knows what else ends a battery by then. */
	const FAR_YEARS = 40;
	const yearsWords = ({ low95, high95 }: Interval) =>
		`${low95.toFixed(0)} to ${high95 > FAR_YEARS ? `more than ${FAR_YEARS}` : high95.toFixed(0)} years to ${100 * worth.endFraction} % of rated`;
	const board = $derived({ name: 'On the board', arrangement: shown, kept: false, f: figuresOf(shown) });
	const beside = $derived(desk.kept.map((k) => ({ ...k, kept: true, f: figuresOf(k.arrangement) })));
	const columns = $derived([board, ...beside]);
</script>

<PhoneFold
	title="Side by side"
	answer={desk.kept.length ? `${desk.kept.length} set beside` : 'years, against arrival'}
	class="mt-4"
>
	<div class="flex flex-wrap items-center gap-3">
		<button class="btn tap" disabled={!desk.canUndo} onclick={() => desk.undo()}>Undo</button>
		<button class="btn tap" disabled={alreadyAlong} onclick={toTheEnds}>Weakest to the ends</button>
		<button class="btn tap" disabled={!desk.canKeep} onclick={() => desk.keep($state.snapshot(shown) as Arrangement)}
			>Set this one beside</button
		>
	</div>
	{#if !desk.kept.length}
		{@const { gained, years } = board.f}
		{#if years}<p>
				By its smallest group <strong>{yearsWords(years)}</strong> (95 %, with {EFC_PER_YEAR.low} to {EFC_PER_YEAR.high} full
				cycles a year).
			</p>{/if}
		{#if gained}<p>
				Against the order of arrival, 95 %: <strong>{worthWords(gained)}</strong>.
			</p>{/if}
	{/if}
	{#if desk.kept.length}
		<ul class="grid gap-3 sm:grid-cols-4">
			{#each columns as { name, arrangement, kept, f } (name)}
				<li class="grid content-start gap-1">
					<strong>{name}</strong>
					<span class="figure text-lg">{f.smallestGroupAh.toFixed(2)} Ah</span>
					<span class="text-sm"
						>smallest, really {rangeWords(f.smallestAh, 'Ah')}; spread
						<span class="figure">{f.spreadAh.toFixed(2)}</span> Ah</span
					>
					<span class="text-sm">{f.kwh} balanced; ended by {f.ends}</span>
					{#if f.years}<span class="text-sm">{yearsWords(f.years)}</span>{/if}
					{#if f.gained}<span class="text-sm">against arrival {worthWords(f.gained)}</span>{/if}
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
</PhoneFold>
