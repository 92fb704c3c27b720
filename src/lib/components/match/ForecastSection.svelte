<script lang="ts">
	import PlanNumber from '$lib/components/plan/PlanNumber.svelte';
	import { CHEMISTRY_FIGURES, type Chemistry } from '$lib/core/chemistry';
	import { forecast, type Balance, type ForecastCell } from '$lib/core/forecast';

	interface Props {
		/** Of one battery, most negative first. */
		groups: readonly (readonly number[])[];
		cells: readonly { id: number; label: string; capacityAh: number }[];
		/** The same cells as they came, group by group. */
		arrival: readonly (readonly number[])[];
		chemistry: Chemistry;
	}
	let { groups, cells, arrival, chemistry }: Props = $props();
	let activeA = $state(2);
	let hours = $state(1.5);
	const own = $derived(cells.map(({ id, capacityAh }): ForecastCell => ({ id, capacityAh })));
	const { nominalV } = $derived(CHEMISTRY_FIGURES[chemistry]);
	const WAYS = $derived<{ name: string; balance: Balance; says: string }[]>([
		{ name: 'Top', balance: 'top', says: 'all full together; the smallest ends the discharge' },
		{ name: 'Bottom', balance: 'bottom', says: 'all empty together; the smallest ends the charge' },
		{ name: 'Active', balance: { activeA, hours }, says: 'the weakest are lifted while it works' }
	]);
	const rows = $derived(
		WAYS.map((way) => ({
			...way,
			...forecast(own, groups, way.balance),
			arrivalAh: forecast(own, arrival, way.balance).usableAh
		}))
	);
	const names = (position: number) =>
		groups[position - 1]!.map((id) => cells.find((c) => c.id === id)?.label ?? '').join(' + ');
</script>

<section class="sheet mt-4 grid gap-3 p-4" aria-label="What it will give">
	<h2>What it will give</h2>
	<ul class="grid gap-3 sm:grid-cols-3">
		{#each rows as row (row.name)}
			<li>
				<span class="muted">{row.name}</span>
				<p class="figure text-xl font-semibold">{row.usableAh.toFixed(1)} Ah</p>
				<p class="figure">{((row.usableAh * groups.length * nominalV) / 1000).toFixed(2)} kWh</p>
				<p class="text-sm">
					Group {row.endsDischarge} ({names(row.endsDischarge)}): {row.says}. In order of arrival {row.arrivalAh.toFixed(
						1
					)} Ah.
				</p>
				<p class="text-sm muted">
					At the end up to {Math.max(...row.leftAh).toFixed(1)} Ah stay in the others.
				</p>
			</li>
		{/each}
	</ul>
	<div class="grid max-w-md grid-cols-2 gap-3">
		<PlanNumber label="Active balancer" unit="A" value={activeA} onkeep={(a) => (activeA = Math.max(0, a ?? 0))} />
		<PlanNumber label="really works for" unit="h" value={hours} onkeep={(h) => (hours = Math.max(0, h ?? 0))} />
	</div>
	<p class="muted">
		It works only near the two ends, where the voltages differ: for about 1.4 of 4.7 hours at 0.2 C. Unbalanced, as they
		come, it gives less than any of these: by how much depends on a charge nobody can read off the plateau.
	</p>
</section>
