<script lang="ts">
	import { goto } from '$app/navigation';
	import Choice from '$lib/components/forms/Choice.svelte';

	/** Which battery of the bank a page shows; nothing where there is one. */
	interface Props {
		batteries: readonly { number: number; name: string | null }[];
		chosen: number;
		/** The page of a battery, without its number: `/banks/3/build/leads`. */
		path: string;
	}
	let { batteries, chosen, path }: Props = $props();
</script>

{#if batteries.length > 1}<Choice
		quiet
		label="Battery"
		value={String(chosen)}
		options={batteries.map(({ number, name }) => ({ value: String(number), text: name ?? `Battery ${number}` }))}
		onchange={(number) => void goto(`${path}?battery=${number}`)}
	/>{/if}
