<script lang="ts">
	import { measure } from '$lib/client/settings/own-style';
	import type { AtTemperature } from '$lib/core/test/capacity';
	import { RATED_C } from '$lib/core/foundation/chemistry';
	import { formatWithDoubt } from '$lib/core/foundation/units';

	/** What a cell gave at temperatures chosen on purpose, beside what it gives in the room. */
	let { held }: { held: readonly AtTemperature[] } = $props();
</script>

{#each held as { temperatureC, capacityAh, sdAh, share } (temperatureC)}
	<p class="mt-2">
		Held at {measure(temperatureC, 'temperature', 0)}: {formatWithDoubt(capacityAh, sdAh, 'Ah')}{share
			? `, ${formatWithDoubt(100 * share.value, 100 * share.sd, '%')} of what it gives at ${measure(RATED_C, 'temperature', 0)}`
			: '; run it once in the room at the same rate to compare'}.
	</p>
{/each}
