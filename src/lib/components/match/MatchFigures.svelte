<script lang="ts">
	interface Props {
		/** Of the groups as they are drawn. */
		smallestAh: number;
		spreadAh: number;
		/** Of the same cells in the order they came. */
		arrival: { smallestGroupAh: number; spreadAh: number };
	}
	let { smallestAh, spreadAh, arrival }: Props = $props();
</script>

<dl class="sheet mb-4 grid grid-cols-2 gap-3 p-4 sm:grid-cols-4">
	<div>
		<dt class="text-sm muted">Smallest group</dt>
		<dd class="figure text-xl font-semibold">{smallestAh.toFixed(1)} Ah</dd>
	</div>
	<div>
		<dt class="text-sm muted">Spread</dt>
		<dd class="figure text-xl font-semibold">{spreadAh.toFixed(1)} Ah</dd>
	</div>
	<div>
		<dt class="text-sm muted">Order of arrival</dt>
		<dd class="figure text-xl">{arrival.smallestGroupAh.toFixed(1)} Ah</dd>
		<dd class="text-sm muted">spread {arrival.spreadAh.toFixed(1)} Ah</dd>
	</div>
	<div>
		<dt class="text-sm muted">Gained</dt>
		<dd class="figure text-xl">{(smallestAh - arrival.smallestGroupAh).toFixed(1)} Ah</dd>
	</div>
</dl>
