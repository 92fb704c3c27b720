<script lang="ts">
	import { bankLayout } from '$lib/core/plan/layouts';
	import { untrack } from 'svelte';
	import { PlanDesk, type StoredPlan } from '$lib/client/entry/plan-desk.svelte';
	import { settingApart } from '$lib/client/entry/set-apart';
	import BankForm from '$lib/components/bank/BankForm.svelte';
	import BatteryList from '$lib/components/bank/BatteryList.svelte';
	import HoldTyped from '$lib/components/forms/HoldTyped.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import StageViews from '$lib/components/frame/StageViews.svelte';
	import BuyView from '$lib/components/plan/buy/BuyView.svelte';
	import LayoutView from '$lib/components/plan/layout/LayoutView.svelte';
	import NeedView from '$lib/components/plan/need/NeedView.svelte';
	import TakeAlong from '$lib/components/plan/need/TakeAlong.svelte';
	import YearView from '$lib/components/plan/YearView.svelte';
	import { planState } from '$lib/core/plan/bank-plan';

	let { data, form } = $props();
	const bank = $derived(data.overview.bank);
	const sized = $derived(bankLayout(data.overview.batteries));
	/** What is planned and bought: ready-made batteries need no cells. */
	const planned = $derived({
		...bank,
		batteries: sized.built || bank.batteries,
		besideAh: sized.besideAh,
		rows: data.overview.batteries.find((b) => b.kind === 'built')?.rows ?? null
	});
	const cellType = $derived(data.cellTypes.find((t) => t.id === bank.cellTypeId) ?? null);
	const QUESTIONS = {
		bank: 'What is it built of?',
		need: 'What must it run?',
		layout: 'Which layout?',
		year: 'Will it last the year?',
		buy: 'What must be there first?'
	};
	const SUBTITLES = {
		bank: 'the bank and its cells',
		need: 'energy, power and amperes, from what is to run',
		layout: 'what gives enough, and what it costs, weighs and asks',
		year: 'two hundred years of weather, drawn',
		buy: 'charge, hardware, box, hands, money, days'
	};
	/** Only another bank makes another desk: what is on its way there is not cut off by the page being drawn anew. */
	const bankId = $derived(data.overview.bank.id);
	const desk = $derived.by(() => {
		const id = bankId;
		return untrack(() => new PlanDesk(id, data.plan as StoredPlan | null));
	});
	$effect(() => desk.take(data.plan as StoredPlan | null));
	const found = $derived(
		planState(desk.plan, planned, cellType, {
			...data.time,
			done: data.done
		})
	);
</script>

<StagePage
	title={QUESTIONS[data.view]}
	subtitle={SUBTITLES[data.view]}
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'plan')}
>
	<StageViews
		base="/banks/{bank.id}/plan"
		active={data.view}
		views={[
			{ view: 'bank', name: 'Bank' },
			{ view: 'need', name: 'Loads' },
			{ view: 'layout', name: 'Layout' },
			{ view: 'year', name: 'Year' },
			{ view: 'buy', name: 'To buy' }
		]}
	/>
	{#if data.view === 'bank'}
		<HoldTyped record={bank}>
			{#snippet children(held)}
				<BankForm
					bank={held}
					cellTypes={data.cellTypes}
					batteries={data.overview.batteries}
					settings={data.settings}
					refused={form}
					action="Save"
					to="?/save"
				/>
			{/snippet}
		</HoldTyped>
		<BatteryList batteries={data.overview.batteries} bankId={bank.id} />
		<TakeAlong {bank} tables={data.tables} />
	{:else if data.view === 'need'}
		<NeedView {desk} {found} things={data.things} />
	{:else if data.view === 'layout'}
		<LayoutView
			{desk}
			{found}
			{bank}
			readyMade={sized.readyMade}
			cellTypes={data.cellTypes}
			loose={data.loose}
			items={data.items}
			currency={data.settings.currency}
		/>
	{:else if data.view === 'year'}
		<YearView {desk} {found} bank={planned} />
	{:else}
		<BuyView
			{desk}
			{found}
			bank={planned}
			items={data.items}
			snapshots={data.snapshots}
			settings={data.settings}
			knownTesters={data.time.knownTesters ?? 0}
			isProved={data.overview.stages.some((s) => s.stage === 'prove' && s.done)}
			sizesKnown={Boolean(cellType?.widthMm && cellType.thicknessMm && cellType.heightMm)}
		/>
	{/if}
</StagePage>
