<script lang="ts">
	import { onDestroy } from 'svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import AcceptGroups from '$lib/components/match/AcceptGroups.svelte';
	import ForecastSection from '$lib/components/match/ForecastSection.svelte';
	import MatchControls from '$lib/components/match/MatchControls.svelte';
	import MatchFigures from '$lib/components/match/MatchFigures.svelte';
	import MatchTray from '$lib/components/match/MatchTray.svelte';
	import PickedCell from '$lib/components/match/PickedCell.svelte';
	import { travel } from '$lib/components/match/travel.svelte';
	import SideBySide from '$lib/components/match/SideBySide.svelte';
	import { MatchSearch } from '$lib/components/match/match-search.svelte';
	import { ArrangementDesk } from '$lib/components/match/arrangement-desk.svelte';
	import { bestPartner, exchanged, type Arrangement } from '$lib/components/match/arrangement';
	import {
		arrivalOrderSummary,
		costOfMove,
		judgeMatch,
		knownOf,
		type BatchWish,
		type MatchProblem,
		type Wishes
	} from '$lib/core/match/groups';
	import type { ShownVerdict } from '$lib/core/foundation/verdicts';
	import { settingApart } from '$lib/client/entry/set-apart';
	import { formatDate } from '$lib/core/foundation/units';

	let { data } = $props();
	const bank = $derived(data.overview.bank);
	const wanted = $derived(bank.series * bank.parallel * bank.batteries);
	let batchWish = $state<BatchWish>('none');
	let robust = $state(false);
	const search = new MatchSearch();
	const desk = new ArrangementDesk();
	const arrangement = $derived(desk.current);
	let selectedId = $state<number | null>(null);
	let moveCost = $state<string | null>(null);

	const problem = $derived<MatchProblem>({
		series: bank.series * bank.batteries,
		parallel: bank.parallel,
		cells: data.candidates,
		batchWish,
		robust
	});
	const leftOut = $derived(data.candidates.filter((c) => c.leftOut).map((c) => c.label));
	/** What is searched: a cell out of line in resistance is left out while enough others are there. */
	const searched = $derived<MatchProblem>({ ...problem, cells: data.candidates.filter((c) => !c.leftOut) });
	const enough = $derived(data.candidates.length >= wanted);
	/** Cells that stay where they are, and cells that are left out, by hand. */
	let locked = $state<number[]>([]);
	let excluded = $state<number[]>([]);
	const wishes = $derived<Wishes>({
		exclude: excluded.filter((id) => searched.cells.some((c) => c.id === id)),
		locks: locked.flatMap((cellId) => {
			const at = shown?.groups.findIndex((g) => g.includes(cellId)) ?? -1;
			return at >= 0 ? [{ cellId, position: at + 1 }] : [];
		})
	});
	const toggled = (list: number[], id: number) => (list.includes(id) ? list.filter((i) => i !== id) : [...list, id]);
	const labelOf = (id: number) => data.candidates.find((c) => c.id === id)?.label ?? '';
	/** Whoever is in no group is a spare, left out or not. */
	const withSpares = (groups: number[][]): Arrangement => {
		const used = new Set(groups.flat());
		return { groups, spares: data.candidates.filter((c) => !used.has(c.id)).map((c) => c.id) };
	};
	const placedNow = $derived.by((): Arrangement | null => {
		if (data.placements.length !== wanted) return null;
		const groups = Array.from({ length: bank.series * bank.batteries }, (_, i) =>
			data.placements.filter((p) => (p.battery - 1) * bank.series + p.position - 1 === i).map((p) => p.cellId)
		);
		return withSpares(groups);
	});
	const shown = $derived(arrangement ?? placedNow);
	let tray = $state<HTMLElement>();
	travel(
		() => tray,
		() => shown
	);
	/** Of the groups that are drawn. */
	const known = $derived(shown?.groups.length ? knownOf(problem, shown.groups) : null);
	/** Of each battery its groups. */
	const inBatteries = (groups: number[][]) =>
		Array.from({ length: bank.batteries }, (_, b) => groups.slice(b * bank.series, (b + 1) * bank.series));
	const asTheyCame = $derived(
		Array.from({ length: bank.series * bank.batteries }, (_, s) =>
			data.candidates.slice(s * bank.parallel, (s + 1) * bank.parallel).map((c) => c.id)
		)
	);
	const arrival = $derived(enough ? arrivalOrderSummary(problem) : null);
	/** Groups on the board that are not accepted yet are judged here, by the same rule; accepted ones where everything is. */
	const verdicts = $derived.by((): ShownVerdict[] => {
		if (!arrangement || !known || !arrival) return data.verdicts;
		return judgeMatch(
			{
				...known,
				arrivalSmallestAh: arrival.smallestGroupAh,
				// Moved by hand, they are no longer what was searched.
				proof:
					search.result && moveCost === null
						? {
								proven: search.result.proven && search.result.tradedAh < 0.005,
								upperBoundAh: search.result.upperBoundAh
							}
						: null
			},
			data.overview.cellType ? data.overview.cellType.ratedAh * bank.parallel : null
		);
	});
	onDestroy(() => search.cancel());
	/** Ctrl+Z takes a step back, but never what is typed in a field. */
	function onkeydown(event: KeyboardEvent) {
		const isField = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
		if (event.key !== 'z' || !(event.ctrlKey || event.metaKey) || event.shiftKey || isField || !desk.canUndo) return;
		event.preventDefault();
		desk.undo();
		moveCost = null;
	}

	async function run() {
		selectedId = null;
		const wanted = { ...$state.snapshot(searched), ...$state.snapshot(wishes) } as MatchProblem & Wishes;
		const found = await search.run(wanted);
		if (!found) return;
		desk.show(withSpares(found.groups.map((g) => g.cellIds.map(Number))));
		moveCost = null;
	}
	const costRank = (a: Arrangement) => {
		const { smallestChangeAh, spreadChangeAh } = costOfMove(problem, shown!.groups, a.groups);
		return -smallestChangeAh * 1e6 + spreadChangeAh;
	};
	function exchange(a: number, b: number) {
		if (!shown) return;
		const next = exchanged(shown, a, b);
		const cost = costOfMove(problem, shown.groups, next.groups);
		const label = (id: number) => data.candidates.find((c) => c.id === id)?.label;
		const signed = (ah: number) => `${ah < 0 ? '−' : '+'}${Math.abs(ah).toFixed(1)} Ah`;
		moveCost = `${label(a)} and ${label(b)} changed places: smallest group ${signed(cost.smallestChangeAh)}, spread ${signed(cost.spreadChangeAh)}.`;
		desk.show(next);
		selectedId = null;
	}
	function pick(id: number) {
		if (selectedId === null || selectedId === id || !shown) selectedId = selectedId === id ? null : id;
		else exchange(selectedId, id);
	}
	function drop(cellId: number, target: number | 'spares') {
		if (!shown) return;
		const partner = bestPartner(shown, cellId, target, costRank);
		if (partner !== null) exchange(cellId, partner);
		else desk.show({ groups: shown.groups.map((g) => [...g]), spares: [...shown.spares] });
	}
</script>

<svelte:window {onkeydown} />
<StagePage
	title="Match"
	subtitle="{data.candidates.length} measured cells for {wanted} places"
	{verdicts}
	onsetapart={arrangement ? undefined : settingApart(bank.id, 'match')}
>
	<MatchControls
		bind:batchWish
		bind:robust
		{leftOut}
		{enough}
		again={shown !== null}
		progress={search.progress}
		onrun={() => void run()}
		oncancel={() => search.cancel()}
	/>
	{#if shown && known && arrival}
		<MatchFigures {known} {arrival} />
		{#if moveCost}
			<p class="mb-3 flex flex-wrap items-center gap-3" role="status">
				<span>{moveCost}</span><button
					class="btn tap"
					onclick={() => {
						desk.undo();
						moveCost = null;
					}}>Put them back</button
				>
			</p>
		{:else}
			<p class="mb-3 muted">
				{selectedId === null
					? 'Drag a cell to another group, or press ⇄ on two cells, to see what it costs.'
					: 'Now press ⇄ on the cell it should change places with.'}
			</p>
		{/if}
	{:else}
		<p class="mb-3 muted">
			{enough
				? 'Choose how, then match; press a cell to leave it out. The best arrangement is searched here in the browser; you can go on looking around.'
				: `Matching needs ${wanted} measured cells.`}
		</p>
	{/if}
	<div bind:this={tray}>
		<MatchTray
			arrangement={shown}
			cells={data.candidates}
			series={bank.series}
			{selectedId}
			{excluded}
			onpick={pick}
			ondrop={drop}
		/>
	</div>
	<PickedCell
		picked={selectedId === null
			? null
			: {
					label: labelOf(selectedId),
					inGroup: shown?.groups.some((g) => g.includes(selectedId!)) ?? false,
					locked: locked.includes(selectedId),
					excluded: excluded.includes(selectedId)
				}}
		locked={locked.map(labelOf)}
		excluded={excluded.map(labelOf)}
		onlock={() => (locked = toggled(locked, selectedId!))}
		onexclude={() => (excluded = toggled(excluded, selectedId!))}
	/>
	{#if shown && arrival}
		<SideBySide
			{desk}
			{shown}
			{problem}
			cells={data.candidates}
			{bank}
			worth={{ ...data.worth, arrivalAh: arrival.smallestGroupAh }}
		/>
		<ForecastSection
			batteries={inBatteries(shown.groups)}
			arrival={inBatteries(asTheyCame)}
			cells={data.candidates}
			chemistry={bank.chemistry}
		/>
		<AcceptGroups
			bankId={bank.id}
			{arrangement}
			replaces={data.placements.map((p) => p.id)}
			placedOn={placedNow ? formatDate(data.placements[0]!.placedAt, data.settings.dateStyle) : null}
			onaccepted={() => {
				desk.settle();
				moveCost = null;
			}}
		/>
	{/if}
</StagePage>
