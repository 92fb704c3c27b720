<script lang="ts">
	import { onDestroy } from 'svelte';
	import type { PlanDesk } from '$lib/client/entry/plan-desk.svelte';
	import { startYear, type YearJob } from '$lib/client/jobs/year-job';
	import VerdictList from '$lib/components/verdicts/VerdictList.svelte';
	import { judgeYear, plannedYear, type PlanState } from '$lib/core/plan/bank-plan';
	import type { Chemistry } from '$lib/core/foundation/chemistry';
	import { formatYears } from '$lib/core/foundation/units';
	import type { YearInput, YearOfUse } from '$lib/core/plan/use-year';
	import SiteForm from './need/SiteForm.svelte';
	import YearChart from './YearChart.svelte';

	interface Props {
		desk: PlanDesk;
		found: PlanState;
		bank: { name: string; chemistry: Chemistry; series: number; parallel: number; batteries: number };
	}
	let { desk, found: plan, bank }: Props = $props();
	const asPlanned = $derived(plannedYear(desk.plan, bank, plan));

	/** What the sliders try; nothing of it is kept. */
	let tried = $state({ cells: 1, panels: 1, loads: 1 });
	const isTried = $derived(tried.cells !== 1 || tried.panels !== 1 || tried.loads !== 1);
	const input = $derived.by((): YearInput | null => {
		if (!asPlanned) return null;
		const { battery, fields, loads } = asPlanned;
		return {
			...asPlanned,
			battery: {
				...battery,
				usableWh: battery.usableWh * tried.cells,
				maxChargeW: battery.maxChargeW * tried.cells
			},
			fields: fields.map((f) => ({ ...f, w: f.w * tried.panels })),
			loads: loads.map((l) => ({ ...l, w: l.w * tried.loads }))
		};
	});

	let year = $state.raw<YearOfUse | null>(null);
	let done = $state(0);
	let running = $state(false);
	let refused = $state<string | null>(null);
	let job: YearJob | null = null;
	/** Waits until the hand rests on a slider. */
	const AFTER_MS = 250;

	$effect(() => {
		const own = input;
		if (!own) return;
		const timer = setTimeout(() => draw(own), AFTER_MS);
		return () => clearTimeout(timer);
	});
	function draw(own: YearInput) {
		job?.cancel();
		running = true;
		done = 0;
		const mine = startYear(own, (n, of) => (done = n / of));
		job = mine;
		mine.result.then(
			(drawn) => {
				if (job !== mine) return;
				[year, refused, running] = [drawn, null, false];
				if (!isTried) desk.drawnYear = { efcPerYear: drawn.efcPerYear, yearsToEnd: drawn.yearsToEnd };
			},
			(error: Error) => {
				if (job === mine) [refused, running] = [error.message, false];
			}
		);
	}
	function cancel() {
		job?.cancel();
		job = null;
		running = false;
	}
	onDestroy(() => job?.cancel());

	const SLIDERS = [
		{ key: 'cells', name: 'Cells', unit: 'kWh usable', of: () => (input ? input.battery.usableWh / 1000 : 0) },
		{ key: 'panels', name: 'Panels', unit: 'W', of: () => input?.fields.reduce((sum, f) => sum + f.w, 0) ?? 0 },
		{
			key: 'loads',
			name: 'Loads',
			unit: 'kWh a year',
			of: () => year?.kwhWanted ?? 0
		}
	] as const;
	const percent = (share: number) => `${(share * 100).toFixed(share < 0.0995 ? 1 : 0)} %`;
	const verdict = $derived(year ? judgeYear(year) : null);
</script>

{#if !asPlanned}
	<p class="sheet mb-4 p-4">
		{plan.usableWh === null
			? 'Choose the cells first (Layout): without them nobody knows what is stored.'
			: 'Say where it stands: the latitude is enough to begin with. Until then only the days without any sun are known.'}
		{#if plan.daysAlone !== null}<strong class="figure">{plan.daysAlone.toFixed(1)} days</strong> without any sun.{/if}
	</p>
{:else}
	<section class="sheet p-4" aria-label="The year">
		{#if refused}<p class="ember-text font-semibold">{refused}</p>{/if}
		{#if year && verdict}
			<div class="grid gap-4 lg:grid-cols-[1fr_auto]">
				<p class="text-lg">
					<strong class="figure text-2xl"
						>{percent(year.daysEmptyShare.low95)} … {percent(year.daysEmptyShare.high95)}</strong
					>
					of the days end empty{isTried ? ', as tried' : ''}.
					<span class="muted block text-base"
						>In 95 of 100 years. The longest run of such days: {year.longestSpellDays.low95} to {year.longestSpellDays
							.high95}.</span
					>
				</p>
			</div>
			<div class:stale={running}><YearChart {year} /></div>
			<ul class="mt-3 grid grid-cols-2 gap-x-6 gap-y-1 sm:grid-cols-3">
				<li><span class="figure font-semibold">{year.kwhMissing.toFixed(0)} kWh</span> missing a year</li>
				<li><span class="figure font-semibold">{year.generatorHours.toFixed(0)} h</span> of generator</li>
				<li><span class="figure font-semibold">{year.efcPerYear.toFixed(0)}</span> full cycles</li>
				<li><span class="figure font-semibold">{year.hoursFull.toFixed(0)} h</span> full</li>
				<li><span class="figure font-semibold">{year.hoursEmpty.toFixed(0)} h</span> empty</li>
				<li><span class="figure font-semibold">{year.hoursTooCold.toFixed(0)} h</span> too cold to charge</li>
				{#if year.yearsToEnd}<li class="col-span-full">
						<span class="figure font-semibold"
							>{formatYears(year.yearsToEnd.low95)} to {formatYears(year.yearsToEnd.high95)} years</span
						>
						until 80 % of its capacity is left.
						<span class="muted">No test yet: this is what such cells usually do.</span>
					</li>{/if}
			</ul>
		{/if}
		<div class="mt-2 flex min-h-11 items-center gap-3" aria-live="polite">
			{#if running}
				<progress class="progress w-40" value={done} max="1"></progress>
				<span class="muted">Drawing 200 years</span>
				<button class="btn btn-ghost tap" onclick={cancel}>Cancel</button>
			{/if}
		</div>
		<div class="grid gap-3 sm:grid-cols-3">
			{#each SLIDERS as { key, name, unit, of } (key)}
				<label>
					<span class="field-label"
						>{name} × {tried[key].toFixed(2)}
						<span class="muted font-normal">{of().toFixed(unit === 'W' ? 0 : 1)} {unit}</span></span
					>
					<input type="range" class="range tap w-full" min="0.25" max="3" step="0.05" bind:value={tried[key]} />
				</label>
			{/each}
		</div>
		{#if isTried}<button class="btn btn-ghost tap" onclick={() => (tried = { cells: 1, panels: 1, loads: 1 })}
				>As planned again</button
			>{/if}
	</section>
	{#if verdict && verdict.warmth !== 'calm' && !isTried}<div class="mt-4">
			<VerdictList verdicts={[verdict]} />
		</div>{/if}
{/if}
<SiteForm {desk} {year} />

<style>
	.stale {
		opacity: 0.6;
	}
</style>
