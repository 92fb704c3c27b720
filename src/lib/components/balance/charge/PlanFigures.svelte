<script lang="ts">
	import type { BalanceCell, BalancePlan } from '$lib/core/foundation/parallel-charge';
	import { byTheCalendarS, mayFallInNight, startForDaytimeEnd, type WakingHours } from '$lib/core/foundation/time';
	import { formatDateTime, formatDuration, type Settings } from '$lib/core/foundation/units';

	interface Props {
		plan: BalancePlan;
		cells: readonly BalanceCell[];
		waking: WakingHours;
		dateStyle: Settings['dateStyle'];
		/** It is not on yet: when to begin may still be chosen. */
		open: boolean;
		/** Its supply is on only so long; null: day and night. */
		hoursADay?: number | null;
	}
	let { plan, cells, waking, dateStyle, open, hoursADay = null }: Props = $props();
	const unread = $derived(cells.filter((c) => c.socLow === 0 && c.socHigh === 1).length);
	const durationS = $derived({
		low: byTheCalendarS(plan.durationS.low, hoursADay),
		high: byTheCalendarS(plan.durationS.high, hoursADay)
	});
	const durationMs = $derived({ low: durationS.low * 1000, high: durationS.high * 1000 });
	/** Never rounded above what the cells may be charged with. */
	const setA = $derived(Math.floor(plan.setA * 10 + 1e-6) / 10);
	/** When its end needs a person, begun now, and the start that puts it into their day. */
	const end = $derived.by(() => {
		const nowMs = Date.now();
		const offsetMin = -new Date().getTimezoneOffset();
		const [fromMs, untilMs] = [nowMs + durationMs.low, nowMs + durationMs.high];
		return {
			from: formatDateTime(new Date(fromMs).toISOString(), dateStyle),
			until: formatDateTime(new Date(untilMs).toISOString(), dateStyle),
			byNight: mayFallInNight(fromMs, untilMs, waking, offsetMin),
			start: startForDaytimeEnd(nowMs, durationMs, waking, offsetMin)
		};
	});
</script>

<dl class="sheet grid grid-cols-2 gap-3 p-4 sm:grid-cols-4">
	<div>
		<dt class="text-sm muted">Charge to deliver</dt>
		<dd class="figure text-xl font-semibold">
			{plan.toDeliverAh.low.toFixed(0)}–{plan.toDeliverAh.high.toFixed(0)} Ah
		</dd>
	</div>
	<div>
		<dt class="text-sm muted">It takes</dt>
		<dd class="figure text-xl font-semibold">
			{formatDuration(durationS.low)} – {formatDuration(durationS.high)}
		</dd>
	</div>
	<div>
		<dt class="text-sm muted">Supply</dt>
		<dd class="figure text-xl font-semibold">{plan.setV.toFixed(2)} V, {setA} A</dd>
	</div>
	<div>
		<dt class="text-sm muted">Bars</dt>
		<dd class="figure text-xl font-semibold">{plan.barsNeeded}</dd>
	</div>
</dl>
<p class="-mt-2 text-[0.95rem] muted">
	{unread
		? `Of ${unread} of ${cells.length} cells nothing tells the charge they begin with${open ? ': read each at rest, and the bounds come closer' : ''}.`
		: 'The bounds are wide because rest voltage on the plateau hides the charge.'}
	At {setA} A the leads take
	{(plan.leadDropV * 1000).toFixed(0)} mV. Done when the current stays below {plan.tailA.toFixed(1)} A.
</p>
{#if open && unread < cells.length}
	<p class="-mt-2 text-[0.95rem]">
		Begun now it needs you between <strong>{end.from}</strong> and <strong>{end.until}</strong>{#if end.byNight}, which
			may be while you sleep. {end.start === null
				? 'No start makes that sure: read it in the evening, and switch the supply off for the night.'
				: `Begun at ${formatDateTime(new Date(end.start).toISOString(), dateStyle)} it ends by day.`}{:else}, by day.{/if}
	</p>
{/if}
