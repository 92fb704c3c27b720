<script lang="ts">
	import { testsAgainstClaims, type WaitingForTest } from '$lib/core/receive/claim';
	import type { QueuePlan } from '$lib/core/test/queue';
	import { formatDate, formatDateTime, type Settings } from '$lib/core/foundation/units';

	/** A timetable that ends after the claim: who is late, and what to test first. */
	let {
		plan,
		waiting,
		labelOf,
		style
	}: {
		plan: QueuePlan;
		waiting: readonly WaitingForTest[];
		labelOf: (id: number) => string;
		style: Settings['dateStyle'];
	} = $props();
	const missed = $derived(
		testsAgainstClaims(
			plan.steps.filter((s) => s.kind === 'discharge').map((s) => ({ cellId: Number(s.cellId), endsAt: s.to })),
			waiting,
			plan.steps.reduce((first, s) => (s.from < first ? s.from : first), plan.endsAt)
		)
	);
	const names = (ids: readonly number[]) => ids.map(labelOf).join(', ');
</script>

{#each missed as { claimUntil, endsAt, lateDays, late, first } (claimUntil)}
	<div class="rounded-lg border-2 border-current p-3" role="status">
		<p class="ember-text font-bold">
			The last test ends {formatDateTime(endsAt, style)}, {lateDays === 1 ? 'a day' : `${lateDays} days`} after the claim
			({formatDate(claimUntil, style)})
		</p>
		<p>Late: {names(late)}.</p>
		<p class="font-semibold">
			{#if first.length}Test {names(first)} first.
			{:else}Shorten it (below), or test the late ones first that you doubt most.{/if}
			What is known by then is claimed; ask the supplier in writing for more time for the rest.
		</p>
	</div>
{/each}
