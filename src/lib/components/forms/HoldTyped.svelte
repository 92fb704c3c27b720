<!-- Shows a form of a record anew when somebody else has changed it, but never while something is typed in it. -->
<script lang="ts" generics="R extends { id: number; version?: number }">
	import type { Snippet } from 'svelte';
	import { KEPT_EVENT } from '$lib/client/entry/form-kept';

	interface Props {
		record: R;
		/** Gets the record as it was when typing began: its version is the one that is sent. */
		children: Snippet<[R]>;
	}
	let { record, children }: Props = $props();
	let isTyped = $state(false);
	// svelte-ignore state_referenced_locally
	let held = $state.raw(record);
	const isOther = $derived(record.id !== held.id);
	const hasChanged = $derived(record.version !== held.version);
	$effect.pre(() => {
		if (isOther || (hasChanged && !isTyped)) {
			held = record;
			isTyped = false;
		}
	});
	const followKept = (node: HTMLElement) => {
		const kept = () => (isTyped = false);
		node.addEventListener(KEPT_EVENT, kept);
		return { destroy: () => node.removeEventListener(KEPT_EVENT, kept) };
	};
</script>

<div use:followKept oninput={() => (isTyped = true)} onchange={() => (isTyped = true)}>
	{#key held}{@render children(held)}{/key}
</div>
