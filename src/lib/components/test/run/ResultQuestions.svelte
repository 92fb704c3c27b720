<script lang="ts">
	import { resultQuestions } from '$lib/core/test/capacity';
	import type { Chemistry } from '$lib/core/foundation/chemistry';

	interface Props {
		capacityAh: number | null;
		energyWh: number | null;
		ratedAh: number;
		chemistry: Chemistry;
		/** Something looks odd, and nobody has said yet that it is right. */
		asks: boolean;
	}
	let { capacityAh = $bindable(), energyWh, ratedAh, chemistry, asks = $bindable() }: Props = $props();
	const questions = $derived(resultQuestions({ capacityAh, energyWh }, ratedAh, chemistry));
	/** The same figures are asked about once. */
	let sureOf = $state('');
	const asTyped = $derived(`${capacityAh} ${energyWh}`);
	$effect(() => {
		asks = questions.length > 0 && sureOf !== asTyped;
	});
</script>

{#if asks}<div class="grid gap-2" role="alert">
		{#each questions as q (q.text)}<p class="ember-text font-semibold">{q.text}</p>{/each}
		<div class="flex flex-wrap gap-2">
			{#each questions.filter((q) => q.meantAh !== null) as q (q.meantAh)}<button
					type="button"
					class="btn btn-primary tap"
					onclick={() => (capacityAh = q.meantAh)}>Use {q.meantAh} Ah</button
				>{/each}
			<button type="button" class="btn tap" onclick={() => (sureOf = asTyped)}>It is right as typed</button>
		</div>
	</div>{/if}
