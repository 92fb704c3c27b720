<script lang="ts">
	import { shownIn } from '$lib/client/settings/own-style';
	import type { ConvertedQuantity } from '$lib/core/foundation/units';
	import Field from '$lib/components/forms/Field.svelte';

	interface Props {
		label: string;
		unit?: string;
		/** What it is of: typed and shown in the chosen system, given and taken in °C, kg, mm or N·m. */
		quantity?: ConvertedQuantity;
		value: number | null;
		/** What is reckoned with while it is blank; shown as such. */
		usual?: number | string;
		hint?: string;
		/** Its name is only spoken: what it is for stands beside it. */
		quiet?: boolean;
		/** Shown and stored differ by this factor: 100 for percent. */
		times?: number;
		onkeep: (value: number | null) => void;
		class?: string;
	}
	let {
		label,
		unit,
		quantity,
		value,
		usual,
		hint,
		quiet = false,
		times = 1,
		onkeep,
		class: extra = ''
	}: Props = $props();
	const shown = $derived(value === null ? null : Number((value * times).toPrecision(8)));
	const usualText = $derived(
		quantity && typeof usual === 'number'
			? shownIn(usual, quantity)!
					.toPrecision(3)
					.replace(/\.?0+$/, '')
			: usual
	);
	/** What is being typed: it stays whatever else comes in meanwhile. */
	let draft = $state<{ value: number | null } | null>(null);

	let bad = $state(false);

	/** Kept when it is left, or Enter is pressed; what is no number stays as it is typed, and what was kept before stays kept. */
	function keep() {
		if (bad) return;
		const own = draft;
		draft = null;
		if (own && own.value !== shown) onkeep(own.value === null ? null : own.value / times);
	}
</script>

<div class={extra} class:quiet onfocusout={keep} onkeydown={(e) => e.key === 'Enter' && keep()} role="presentation">
	<Field
		{label}
		{unit}
		{quantity}
		type="number"
		bind:bad
		bind:value={() => (draft ? draft.value : shown), (v) => (draft = { value: v })}
		placeholder={usual === undefined ? undefined : `${usualText} (usual)`}
		{hint}
	/>
</div>

<style>
	.quiet :global(.field-label) {
		position: absolute;
		clip-path: inset(50%);
	}
</style>
