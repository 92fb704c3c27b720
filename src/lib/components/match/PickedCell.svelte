<script lang="ts">
	interface Props {
		/** Null: none is picked. */
		picked: { label: string; inGroup: boolean; locked: boolean; excluded: boolean } | null;
		/** Labels of those that stay where they are, and of those that are left out. */
		locked: readonly string[];
		excluded: readonly string[];
		onlock: () => void;
		onexclude: () => void;
	}
	let { picked, locked, excluded, onlock, onexclude }: Props = $props();
</script>

{#if picked}
	<p class="mt-3 flex flex-wrap items-center gap-3">
		<strong>{picked.label}</strong>
		{#if picked.inGroup}<button class="btn tap" aria-pressed={picked.locked} onclick={onlock}
				>{picked.locked ? 'It may move again' : 'Keep it in its group'}</button
			>{/if}
		<button class="btn tap" aria-pressed={picked.excluded} onclick={onexclude}
			>{picked.excluded ? 'It may be used again' : 'Leave it out'}</button
		>
	</p>
{/if}
{#if locked.length || excluded.length}<p class="mt-2 muted">
		{locked.length ? `Kept where they are: ${locked.join(', ')}. ` : ''}{excluded.length
			? `Left out: ${excluded.join(', ')}. `
			: ''}Match again to let the others follow.
	</p>{/if}
