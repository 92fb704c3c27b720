<script lang="ts">
	import type { PlanDesk } from '$lib/client/entry/plan-desk.svelte';
	import DateField from '$lib/components/forms/DateField.svelte';
	import { USUAL_PLAN, type PlanState } from '$lib/core/plan/bank-plan';
	import type { BuildStep } from '$lib/core/plan/calendar';
	import { formatDate, type Settings } from '$lib/core/foundation/units';
	import Fold from '$lib/components/frame/Fold.svelte';
	import PlanNumber from './PlanNumber.svelte';

	interface Props {
		desk: PlanDesk;
		found: PlanState;
		bankId: number;
		dateStyle: Settings['dateStyle'];
		/** Loads that are known as instruments. */
		knownTesters: number;
		/** All checks of Prove are made. */
		isProved: boolean;
	}
	let { desk, found, bankId, dateStyle, knownTesters, isProved }: Props = $props();
	const plan = $derived(desk.plan);
	const calendar = $derived(found.calendar);
	const NAMES: Record<BuildStep, string> = {
		...{ order: 'Order', arrive: 'Cells arrive', inspect: 'Inspected', soak: 'Stood a day', test: 'Tested' },
		...{ balance: 'Balanced', build: 'Built', prove: 'Proved' }
	};
	const day = (ms: number) => formatDate(new Date(ms).toISOString(), dateStyle);
	const answer = $derived(
		isProved ? 'proved: all checks are made' : calendar ? `proved on ${day(calendar.endMs)}` : null
	);
	const span = $derived(calendar ? Math.max(1, calendar.endMs - calendar.steps[0]!.startMs) : 1);
</script>

<Fold title="When is it ready" {answer}>
	<div class="grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
		<div>
			<label class="field-label" for="order-on">Order on</label>
			<DateField
				id="order-on"
				bind:value={
					() => plan.orderOn?.slice(0, 10) ?? '',
					(v) => /^\d{4}-\d{2}-\d{2}$/.test(String(v)) && desk.change({ orderOn: String(v) })
				}
			/>
		</div>
		<PlanNumber
			label="Cells take"
			unit="days"
			value={plan.cellLeadDays}
			usual={USUAL_PLAN.cellLeadDays}
			onkeep={(cellLeadDays) => desk.change({ cellLeadDays })}
		/>
		<PlanNumber
			label="Other parts take"
			unit="days"
			value={plan.partLeadDays}
			usual={USUAL_PLAN.partLeadDays}
			onkeep={(partLeadDays) => desk.change({ partLeadDays })}
		/>
		<PlanNumber
			label="Hours a day at it"
			value={plan.hoursADay}
			usual={USUAL_PLAN.hoursADay}
			onkeep={(hoursADay) => desk.change({ hoursADay })}
		/>
		<PlanNumber
			label="Testers"
			value={plan.testers}
			usual={knownTesters || USUAL_PLAN.testers}
			onkeep={(testers) => desk.change({ testers })}
		/>
		<PlanNumber
			label="A tester takes"
			unit="A"
			value={plan.testA}
			usual={USUAL_PLAN.testA}
			onkeep={(testA) => desk.change({ testA })}
		/>
		<PlanNumber
			label="It delivers, by a meter"
			unit="A"
			value={plan.testDeliversA}
			usual={plan.testA ?? USUAL_PLAN.testA}
			onkeep={(testDeliversA) => desk.change({ testDeliversA })}
		/>
	</div>
	{#if isProved}<p>The battery is proved: nothing of this is still to come.</p>
	{:else if calendar}
		<ol class="grid gap-1">
			{#each calendar.steps as { step, startMs, endMs, critical } (step)}
				<li class="step">
					<span>{NAMES[step]}</span>
					<span class="line" aria-hidden="true"
						><i
							class:critical
							style:left="{(100 * (startMs - calendar.steps[0]!.startMs)) / span}%"
							style:width="{Math.max(0.8, (100 * (endMs - startMs)) / span)}%"
						></i></span
					>
					<span class="figure">{day(endMs)}</span>
				</li>
			{/each}
		</ol>
		<p class="muted">
			Dark: a day later here makes the end a day later. Simple durations; testers and supplies go on by night, and are
			seen to in your waking hours (Settings).
		</p>
		<ul class="list-disc pl-5">
			<li>Order bars, BMS and box by <strong>{day(calendar.orderPartsByMs)}</strong>.</li>
			<li>
				A supplier usually wants to hear of a defect by {day(calendar.claimUntilMs)}: their terms and the law come
				first.
			</li>
			<li>Cells that have not been charged by {day(calendar.standUntilMs)} have stood too long.</li>
			<li>About {calendar.handsH.toFixed(0)} hours of your own work (usual), beside what machines do alone.</li>
		</ul>
		<a class="btn tap justify-self-start" href="/api/v1/banks/{bankId}/calendar.ics" download>Into a calendar</a>
	{/if}
</Fold>

<style>
	.step {
		display: grid;
		grid-template-columns: 7.5rem 1fr 7.5rem;
		align-items: center;
		gap: 0.75rem;
	}
	.step .figure {
		text-align: right;
	}
	.line {
		position: relative;
		height: 1rem;
		background: var(--color-base-300);
		border-radius: 0.2rem;
	}
	.line i {
		position: absolute;
		inset-block: 0;
		background: var(--measure-2);
		border-radius: 0.2rem;
	}
	.line i.critical {
		background: var(--measure-line);
	}
	@media (max-width: 640px) {
		.step {
			grid-template-columns: 1fr auto;
		}
		.line {
			grid-column: 1 / -1;
			grid-row: 2;
		}
	}
</style>
