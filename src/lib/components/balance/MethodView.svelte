<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import type { Snippet } from 'svelte';
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import {
		HINDRANCE_WORDS,
		methodWords,
		compareMethods,
		type AtHand,
		type LivesAt,
		type MethodPlan
	} from '$lib/core/balance/chooser';
	import { TOP_BALANCE_V } from '$lib/core/foundation/chemistry';
	import { METHOD_NAMES } from '$lib/core/picture';
	import { settingApart } from '$lib/client/entry/set-apart';
	import type { BalanceData } from './balance-data';

	let { data, views }: { data: BalanceData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const cells = $derived(data.balance.cells);
	const mean = (list: readonly number[]) => (list.length ? list.reduce((a, b) => a + b, 0) / list.length : null);
	/** A crate comes at about a third; a full row still takes its taper. */
	const high = $derived(Math.min(0.95, mean(cells.map((c) => c.socHigh)) ?? 0.5));
	const low = $derived(Math.min(high, mean(cells.map((c) => c.socLow)) ?? 0.2));
	const inAll = $derived(Math.max(1, cells.length || bank.series * bank.parallel));
	// svelte-ignore state_referenced_locally
	let at = $state({
		cellSupplyA: data.balance.supply.supplyA as number | null,
		stringSupplyA: (data.planned.stringSupplyA ?? 0) as number | null,
		loadA: 0 as number | null,
		bars: (data.planned.barsForCells ?? inAll) as number | null,
		hasBms: true,
		onlyAttended: data.planned.hoursADay !== null,
		balancerA: 0.1 as number | null,
		balancerHoursADay: 1 as number | null,
		attendedHoursADay: (data.planned.hoursADay ?? Math.max(1, data.settings.wakeUntilH - data.settings.wakeFromH)) as
			number | null,
		days: null as number | null,
		apartPercent: null as number | null,
		livesAt: 'top' as LivesAt
	});
	const words = $derived(methodWords(TOP_BALANCE_V[bank.chemistry]));
	const number = (value: number | null, least = 0) => Math.max(least, Number(value ?? 0) || 0);
	const plans = $derived.by(() => {
		const capacityAh = data.overview.cellType?.ratedAh ?? 100;
		const atHand: AtHand = {
			...{ cells: inAll, series: bank.series, capacityAh },
			...{ soc: (low + high) / 2, socLow: low, socHigh: high },
			...{ apart: at.apartPercent === null ? null : number(at.apartPercent) / 100 },
			...{ cellSupplyA: number(at.cellSupplyA), stringSupplyA: number(at.stringSupplyA), loadA: number(at.loadA) },
			...{ bars: number(at.bars, 1), hasBms: at.hasBms, balancerA: number(at.balancerA), livesAt: at.livesAt },
			...{ balancerHoursADay: number(at.balancerHoursADay), attendedHoursADay: number(at.attendedHoursADay, 0.25) },
			days: at.days ? number(at.days) : null,
			unattended: !at.onlyAttended
		};
		return compareMethods(atHand);
	});
	const rounded = (hours: number) =>
		hours < 48 ? `${Math.max(1, Math.round(hours))} h` : `${Math.round(hours / 24)} days`;
	const span = (within: MethodPlan['hoursWithin']) => {
		if (within === null) return 'it does not end';
		if (within.high === 0) return 'no time';
		const [least, most] = [rounded(within.low), rounded(within.high)];
		return least === most ? `about ${most}` : `${least} to ${most}`;
	};
	const handWords = $derived(
		[
			at.cellSupplyA ? `supply ${at.cellSupplyA} A` : null,
			at.balancerA ? `balancer ${at.balancerA} A` : null,
			at.hasBms ? 'a BMS' : null
		]
			.filter(Boolean)
			.join(', ') || 'nothing yet'
	);
</script>

<StagePage
	title="Which method?"
	subtitle="by what is at hand, who is at home, and which end the bank lives at"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'balance')}
>
	{@render views()}
	<PhoneFold title="At hand" answer={handWords} class="mb-4">
		<Choice
			label="The bank spends its days"
			bind:value={at.livesAt}
			options={[
				{ value: 'top', text: 'near full (solar, shore)' },
				{ value: 'middle', text: 'in the middle' },
				{ value: 'bottom', text: 'run down to empty' }
			]}
		/>
		<div class="grid grid-cols-2 items-start gap-3 sm:grid-cols-4">
			<Field label="Supply for one cell" unit="A" type="number" min="0" bind:value={at.cellSupplyA} />
			<Field label="Charger for the string" unit="A" type="number" min="0" bind:value={at.stringSupplyA} />
			<Field label="Load for one cell" unit="A" type="number" min="0" bind:value={at.loadA} />
			<Field label="Bars for so many cells" type="number" min="1" bind:value={at.bars} />
			<Field label="Balancer" unit="A" type="number" min="0" bind:value={at.balancerA} />
			<Field label="It works" unit="h a day" type="number" min="0" bind:value={at.balancerHoursADay} />
			<Field label="Somebody is there" unit="h a day" type="number" min="0" bind:value={at.attendedHoursADay} />
			<Field label="There is time" unit="days" type="number" min="0" bind:value={at.days} hint="blank: as it takes" />
			<Field
				label="Apart by"
				unit="% of one"
				type="number"
				min="0"
				bind:value={at.apartPercent}
				hint="blank: not known, 5 % taken"
			/>
			<label class="tap flex items-center gap-2 self-center"
				><input type="checkbox" class="checkbox" bind:checked={at.onlyAttended} /> charge only while I am there</label
			>
			<label class="tap flex items-center gap-2 self-center"
				><input type="checkbox" class="checkbox" bind:checked={at.hasBms} /> a BMS that trips</label
			>
		</div>
	</PhoneFold>
	<ol class="grid gap-3">
		{#each plans as plan, i (plan.method)}
			{@const own = words[plan.method]}
			<li class="sheet grid gap-1 p-4" class:first={i === 0 && plan.hindrances.length === 0}>
				<div class="flex flex-wrap items-baseline justify-between gap-x-4">
					<h2>{METHOD_NAMES[plan.method]}{i === 0 && plan.hindrances.length === 0 ? ' fits best' : ''}</h2>
					<p class="figure">
						{span(plan.hoursWithin)}{plan.attendedHours > 0
							? `, ${Math.max(1, Math.round(plan.attendedHours))} h of your own`
							: ''}
					</p>
				</div>
				{#if plan.hindrances.length}<p class="ember-text font-semibold">
						Not now: {plan.hindrances.map((h) => HINDRANCE_WORDS[h]).join('; ')}.
					</p>{/if}
				{#if i === 0}<p>{own.does}</p>{/if}
				<PhoneFold title={i === 0 ? 'Gives, costs, can go wrong' : 'What it does, gives and costs'} bare>
					{#if i > 0}<p>{own.does}</p>{/if}
					<dl class="grid gap-x-6 sm:grid-cols-3">
						<div>
							<dt class="muted text-sm">Gives</dt>
							<dd>{own.gives}</dd>
						</div>
						<div>
							<dt class="muted text-sm">Costs</dt>
							<dd>{own.costs}</dd>
						</div>
						<div>
							<dt class="muted text-sm">Can go wrong</dt>
							<dd>{own.risk}</dd>
						</div>
					</dl>
				</PhoneFold>
				{#if plan.method === 'top' && plan.hindrances.length === 0}<p>
						<a class="link" href="/banks/{bank.id}/balance/charge">Plan it</a>
					</p>
				{:else if plan.method === 'fast'}<p>
						<a class="link" href="/banks/{bank.id}/balance/steps?method=fast">Step by step</a>: nothing is joined before
						<a class="link" href="/banks/{bank.id}/balance/links">every link is proved off</a>
					</p>
				{:else if plan.method === 'bottom' || plan.method === 'balancer'}<p>
						<a class="link" href="/banks/{bank.id}/balance/steps?method={plan.method}">Step by step</a>
					</p>{/if}
			</li>
		{/each}
	</ol>
	<p class="muted mt-3">
		Hours are reckoned from {Math.round(low * 100)} to {Math.round(high * 100)} % of charge, default times by hand, and a
		taper of three hours: a guide, no promise.
	</p>
</StagePage>

<style>
	.first {
		box-shadow: 0 0 0 2px var(--color-base-content);
	}
</style>
