<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import Choice from '$lib/components/forms/Choice.svelte';
	import type { BatchWish, MatchProgress } from '$lib/core/match/groups';

	interface Props {
		batchWish: BatchWish;
		robust: boolean;
		/** Labels of cells left out for their resistance. */
		leftOut: readonly string[];
		/** There are cells for every place. */
		enough: boolean;
		/** Groups are on the board already. */
		again: boolean;
		/** While it is searched; null: not. */
		progress: MatchProgress | null;
		onrun: () => void;
		oncancel: () => void;
	}
	let {
		batchWish = $bindable(),
		robust = $bindable(),
		leftOut,
		enough,
		again,
		progress,
		onrun,
		oncancel
	}: Props = $props();
</script>

<section class="sheet mb-4 flex flex-wrap items-end gap-x-4 gap-y-2 p-3 sm:p-4">
	<PhoneFold
		title="Wishes"
		answer={batchWish === 'none' ? 'no wish' : `batches ${batchWish}`}
		bare
		class="basis-full sm:basis-auto"
	>
		<div class="flex flex-wrap items-end gap-4">
			<Choice
				label="Batches"
				bind:value={batchWish}
				options={[
					{ value: 'none', text: 'no wish' },
					{ value: 'together', text: 'together' },
					{ value: 'apart', text: 'apart' }
				]}
			/>
			<label class="tap flex items-center gap-2"
				><input type="checkbox" class="checkbox" bind:checked={robust} /> Guard against doubtful readings</label
			>
		</div>
	</PhoneFold>
	{#if leftOut.length}<p class="muted basis-full">
			Left out for its resistance: <strong>{leftOut.join(', ')}</strong>. There are enough others.
		</p>{/if}
	{#if progress}
		<div role="status" class="flex items-center gap-3">
			<progress class="progress w-40" max="1" value={progress.fraction}></progress>
			<span
				>{progress.stage === 'proving'
					? 'proving'
					: progress.stage === 'evening'
						? 'evening out'
						: 'arranging'}{progress.smallestGroupAh > 0
					? `, smallest ${progress.smallestGroupAh.toFixed(1)} Ah`
					: ''}</span
			>
			<button class="btn tap" onclick={oncancel}>Cancel</button>
		</div>
	{:else}
		<button class="btn {again ? '' : 'btn-primary'} tap" disabled={!enough} onclick={onrun}
			>{again ? 'Match again' : 'Match the cells'}</button
		>
	{/if}
</section>
