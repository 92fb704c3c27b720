<script lang="ts">
	import Choice from '$lib/components/forms/Choice.svelte';

	interface Props {
		trays: readonly { delivery: { id: number; name: string } }[];
		index: number;
	}
	let { trays, index = $bindable() }: Props = $props();
</script>

{#if trays.length > 1}
	<div class="mb-3">
		<Choice
			label="Delivery"
			value={String(index)}
			options={trays.map((t, i) => ({ value: String(i), text: t.delivery.name }))}
			onchange={(i) => (index = Number(i))}
		/>
	</div>
{/if}
