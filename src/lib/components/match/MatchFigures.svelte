<script lang="ts">
	import type { Interval } from '$lib/core/foundation/statistics';
	import { rangeWords } from '$lib/core/foundation/verdicts';

	interface Props {
		/** Of the groups as they are drawn: as read, and what they really hold. */
		known: { smallestGroupAh: number; spreadAh: number; smallestAh: Interval; gainAh: Interval };
		/** Of the same cells in the order they came. */
		arrival: { smallestGroupAh: number; spreadAh: number };
	}
	let { known, arrival }: Props = $props();
</script>

<dl class="sheet mb-4 grid grid-cols-2 gap-3 p-4 sm:grid-cols-4">
	<div>
		<dt class="text-sm muted">Smallest group</dt>
		<dd class="figure text-xl font-semibold">{known.smallestGroupAh.toFixed(1)} Ah</dd>
		<dd class="text-sm muted">really {rangeWords(known.smallestAh, 'Ah')}</dd>
	</div>
	<div>
		<dt class="text-sm muted">Spread</dt>
		<dd class="figure text-xl font-semibold">{known.spreadAh.toFixed(1)} Ah</dd>
		<dd class="text-sm muted">as read</dd>
	</div>
	<div>
		<dt class="text-sm muted">Order of arrival</dt>
		<dd class="figure text-xl">{arrival.smallestGroupAh.toFixed(1)} Ah</dd>
		<dd class="text-sm muted">spread {arrival.spreadAh.toFixed(1)} Ah</dd>
	</div>
	<div>
		<dt class="text-sm muted">Gained</dt>
		<dd class="figure text-xl">{(known.smallestGroupAh - arrival.smallestGroupAh).toFixed(1)} Ah</dd>
		<dd class="text-sm muted">really {rangeWords(known.gainAh, 'Ah')}</dd>
	</div>
</dl>
