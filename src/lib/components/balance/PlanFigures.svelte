<script lang="ts">
	import type { BalancePlan } from '$lib/core/balance';
	import { formatDuration } from '$lib/core/units';

	let { plan }: { plan: BalancePlan } = $props();
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
			{formatDuration(plan.durationS.low)} – {formatDuration(plan.durationS.high)}
		</dd>
	</div>
	<div>
		<dt class="text-sm muted">Supply</dt>
		<dd class="figure text-xl font-semibold">{plan.setV.toFixed(2)} V, {plan.setA.toFixed(0)} A</dd>
	</div>
	<div>
		<dt class="text-sm muted">Bars</dt>
		<dd class="figure text-xl font-semibold">{plan.barsNeeded}</dd>
	</div>
</dl>
<p class="-mt-2 text-[0.95rem] muted">
	The bounds are wide because rest voltage on the plateau hides the charge. At {plan.setA.toFixed(0)} A the leads take
	{(plan.leadDropV * 1000).toFixed(0)} mV. Done when the current stays below {plan.tailA.toFixed(1)} A.
</p>
