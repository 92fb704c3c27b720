<script lang="ts">
	interface Props {
		/** What will be set and switched on, line by line. */
		values: string[];
		onconfirm: () => void;
		/** What the button says. */
		action?: string;
	}
	let { values, onconfirm, action = 'Switch on' }: Props = $props();
	let dialog: HTMLDialogElement;

	/** Shows the values and waits for a decision. */
	export function ask(): void {
		dialog.showModal();
	}
</script>

<dialog bind:this={dialog} class="modal" aria-labelledby="confirm-title">
	<div class="modal-box">
		<h2 id="confirm-title">These values will be set</h2>
		<ul class="my-3 grid gap-2">
			{#each values as value (value)}<li class="rounded-field bg-base-300 px-3 py-2 text-lg font-semibold">
					{value}
				</li>{/each}
		</ul>
		<p class="muted">
			Clips tight and the right way round? Voltage checked with your own meter? Nothing that burns beside it? Then it is
			yours to switch on.
		</p>
		<form method="dialog" class="mt-4 flex flex-wrap justify-end gap-3">
			<button class="btn tap">Not yet</button>
			<button class="btn btn-primary tap" onclick={onconfirm}>{action}</button>
		</form>
	</div>
</dialog>
