<script lang="ts">
	interface Props {
		shortcuts: readonly (readonly [string, string])[];
	}
	let { shortcuts }: Props = $props();
	let dialog: HTMLDialogElement;
	export function toggle() {
		if (dialog.open) dialog.close();
		else dialog.showModal();
	}
</script>

<button class="btn btn-ghost tap" onclick={toggle} aria-label="Keyboard shortcuts"><kbd class="kbd-key">?</kbd></button>
<dialog bind:this={dialog} class="sheet m-auto p-6 text-base-content backdrop:bg-black/40">
	<h2 class="mb-3">Keys</h2>
	<dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
		{#each shortcuts as [key, meaning] (key)}<dt><kbd class="kbd-key">{key}</kbd></dt>
			<dd>{meaning}</dd>{/each}
	</dl>
	<form method="dialog" class="mt-4"><button class="btn btn-primary tap">Close</button></form>
</dialog>
