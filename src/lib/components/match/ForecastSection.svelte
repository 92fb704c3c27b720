<!-- What these groups will give, kept together by any of the schools, as far as their cells are known. -->
<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import { onDestroy, onMount } from 'svelte';
	import { forecastJob, type ForecastJob } from '$lib/client/jobs/forecast-job';
	import PlanNumber from '$lib/components/plan/PlanNumber.svelte';
	import { CHEMISTRY_FIGURES, type Chemistry } from '$lib/core/foundation/chemistry';
	import { inOwnStyle } from '$lib/client/settings/own-style';
	import { coldLoss } from '$lib/core/match/forecast';
	import type { Balance, Ender, ForecastRange, KnownCell } from '$lib/core/match/forecast';
	import type { Interval } from '$lib/core/foundation/statistics';
	import { rangeWords } from '$lib/core/foundation/verdicts';

	interface Props {
		/** Of each battery its groups, most negative first. */
		batteries: readonly (readonly (readonly number[])[])[];
		/** All that were measured, spares too. */
		cells: readonly (KnownCell & { id: number; label: string })[];
		/** The same places filled in order of arrival. */
		arrival: readonly (readonly (readonly number[])[])[];
		chemistry: Chemistry;
	}
	let { batteries, cells, arrival, chemistry }: Props = $props();
	let activeA = $state(2);
	let hours = $state(1.5);
	const { nominalV } = $derived(CHEMISTRY_FIGURES[chemistry]);
	const series = $derived(batteries[0]?.length ?? 0);
	const WAYS = $derived<{ name: string; balance: Balance; says: string }[]>([
		{ name: 'Unbalanced, as they came', balance: 'none', says: 'as much as the cells’ state of charge allows' },
		{ name: 'Top', balance: 'top', says: 'all full together; the smallest ends the discharge' },
		{ name: 'Bottom', balance: 'bottom', says: 'all empty together; the smallest ends the charge' },
		{ name: 'Active', balance: { activeA, hours }, says: 'the weakest are lifted while it works' }
	]);

	type Answered = (told: (ForecastRange | null)[][]) => void;
	interface Row {
		name: string;
		says: string;
		ends: string;
		own: ForecastRange | null;
		arrivalAh: Interval | null;
	}
	let rows = $state.raw<Row[]>([]);
	let failed = $state(false);
	const unmeasured = $derived(batteries.flat(2).some((id) => !cells.some((c) => c.id === id)));
	let job: ForecastJob | null = $state.raw(null);
	onMount(() => (job = forecastJob()));
	onDestroy(() => job?.end());
	/** The latest question alone is answered on the page. */
	let asked = 0;
	$effect(() => {
		if (!job || unmeasured) return;
		const ways = WAYS;
		const now = ++asked;
		const copy = (arrangement: Props['batteries']) => arrangement.map((groups) => groups.map((g) => [...g]));
		const known = cells.map(({ id, capacityAh, capacitySdAh, rest }) => ({
			...{ id, capacityAh, capacitySdAh },
			rest: rest ? { ...rest } : null
		}));
		const balances = ways.map((w) => w.balance);
		const tell: Answered = ([own, came]) => {
			if (now !== asked) return;
			failed = false;
			rows = ways.map(({ name, says, balance }, i) => ({
				...{ name, says, own: own![i]!, arrivalAh: came![i]?.usableAh ?? null },
				ends: own![i] ? endWords(balance, own![i]!) : ''
			}));
		};
		void job.ask(known, [copy(batteries), copy(arrival)], balances, chemistry).then(tell, () => (failed = true));
	});

	const labelsOf = ({ battery, position }: Ender) =>
		(batteries[battery - 1]?.[position - 1] ?? []).map((id) => cells.find((c) => c.id === id)?.label ?? '').join(' + ');
	/** The likeliest, and how likely unless it is nearly sure. */
	function enderWords([first]: readonly Ender[]): string {
		const place =
			batteries.length > 1 ? `battery ${first!.battery}, group ${first!.position}` : `group ${first!.position}`;
		const chance = first!.probability >= 0.9 ? '' : `, ${Math.round(100 * first!.probability)} % likely`;
		return `${place} (${labelsOf(first!)}${chance})`;
	}
	function endWords(balance: Balance, { endsCharge, endsDischarge }: ForecastRange): string {
		if (balance === 'none')
			return `Charge ended by ${enderWords(endsCharge)}, discharge by ${enderWords(endsDischarge)}`;
		return balance === 'bottom' ? `Ended by ${enderWords(endsCharge)}` : `Ended by ${enderWords(endsDischarge)}`;
	}
	const kwh = ({ low95, high95 }: Interval) => {
		const [low, high] = [low95, high95].map((ah) => ((ah * series * nominalV) / 1000).toFixed(2));
		return low === high ? `${low} kWh` : `${low} to ${high} kWh`;
	};
	const COLD_C = 5;
	const taken = coldLoss(COLD_C);
	const percent = (share: number) => Math.round(share * 100);
	const coldWords = inOwnStyle(
		`(${COLD_C} °C) ${percent(taken.low95)} to ${percent(taken.high95)} % of that stay in the cells`
	);
	/** Balanced at the top, as a rule. */
	const balancedWords = $derived.by(() => {
		const own = rows.find((r) => r.name.startsWith('Top'))?.own ?? rows[0]?.own;
		return own ? `balanced ${rangeWords(own.usableAh, 'Ah')}` : null;
	});
</script>

<PhoneFold
	title="What it will give"
	answer={balancedWords}
	class="mt-4"
	aria-busy={rows.length === 0 && !failed && !unmeasured}
>
	{#if unmeasured}<p>Cannot tell: a cell of these groups has no capacity yet.</p>
	{:else if rows.length === 0}<p class="muted" role="status">
			{failed ? 'It could not be worked out in this browser.' : 'Being worked out'}
		</p>{:else}
		<ul class="grid gap-4 sm:grid-cols-2">
			{#each rows as row (row.name)}
				<li class="grid content-start gap-1">
					<span class="muted">{row.name}</span>
					{#if row.own}
						<p class="figure text-xl font-semibold">{rangeWords(row.own.usableAh, 'Ah')}</p>
						<p class="figure">{kwh(row.own.usableAh)}</p>
						<p class="text-sm">
							{row.ends}: {row.says}.
							{#if row.arrivalAh && row.own.usableAh.likely - row.arrivalAh.likely > 0.05}In order of arrival {rangeWords(
									row.arrivalAh,
									'Ah'
								)}.{/if}
						</p>
						{#if row.own.mostLeftAh.high95 >= 0.05}<p class="text-sm muted">
								At the end {rangeWords(row.own.mostLeftAh, 'Ah')} stay in the fullest.
							</p>{/if}
					{:else}
						<p class="text-xl font-semibold">Cannot tell</p>
						<p class="text-sm">A rest voltage of each cell says it, read before anything charges them.</p>
					{/if}
				</li>
			{/each}
		</ul>{/if}
	<div class="grid max-w-md grid-cols-2 gap-3">
		<PlanNumber label="Active balancer" unit="A" value={activeA} onkeep={(a) => (activeA = Math.max(0, a ?? 0))} />
		<PlanNumber label="really works for" unit="h" value={hours} onkeep={(h) => (hours = Math.max(0, h ?? 0))} />
	</div>
	<p class="muted">
		95 %, at 0.2 C and 25 °C; slower gives up to 1 % more, faster less. In the cold
		{coldWords}. A balancer works only near the two ends, where the voltages differ: for about 1.4 of 4.7 hours.
	</p>
</PhoneFold>
