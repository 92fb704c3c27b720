<script lang="ts">
	import CellFace from './CellFace.svelte';
	import { USUAL_FOOTPRINT, type DrawnCell, type Footprint } from './tray-cell';

	interface Props {
		cells: DrawnCell[];
		footprint?: Footprint;
		selectedId?: number | null;
		onpick?: (id: number) => void;
		/** Drawn low, where something else is to be on the first screen too. */
		low?: boolean;
		/** What the tray shows, for those who hear it. */
		label: string;
	}
	let { cells, footprint = USUAL_FOOTPRINT, selectedId = null, onpick, low = false, label }: Props = $props();

	/** So few cells are drawn larger: they have the room. */
	const FEW = 6;
	const size = $derived(low ? 'low' : cells.length <= FEW ? 'few' : 'usual');
	const step = (shade: number | null) => (shade === null ? 'none' : Math.min(4, Math.floor(shade * 5)));
	const spoken = (cell: DrawnCell) =>
		[cell.label, cell.figure ?? 'not read', cell.minor, cell.turned ? 'plus on the other side' : null, cell.mark]
			.filter(Boolean)
			.join(', ');
</script>

<ul
	class="tray sheet"
	class:few={cells.length <= FEW}
	class:low
	aria-label={label}
	style:--aspect={footprint.thicknessMm / footprint.widthMm}
	style:--cells={cells.length}
>
	{#each cells as cell (cell.id)}
		<li>
			<button
				class="cell"
				data-cell={cell.id}
				data-warmth={cell.warmth}
				data-shade={step(cell.shade)}
				class:selected={cell.id === selectedId}
				class:unread={cell.figure === null}
				aria-pressed={cell.id === selectedId}
				aria-label={spoken(cell)}
				onclick={() => onpick?.(cell.id)}
			>
				<CellFace {...cell} {size} />
			</button>
			<span class="mark" data-warmth={cell.warmth}>{cell.mark ?? ''}</span>
		</li>
	{/each}
</ul>

<style>
	.tray {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(66px, 1fr));
		gap: 0.25rem 0.45rem;
		padding: 1rem 1rem 0.25rem;
	}
	@media (min-width: 641px) {
		.few {
			grid-template-columns: repeat(var(--cells), minmax(66px, 8.5rem));
		}
		.few .cell {
			max-width: 8.5rem;
		}
	}
	li {
		display: flex;
		flex-direction: column;
		align-items: center;
	}
	.cell {
		width: 100%;
		max-width: 92px;
		aspect-ratio: var(--aspect);
		min-height: 9rem;
		max-height: 12.2rem;
		display: flex;
		flex-direction: column;
		align-items: center;
		padding: 0.45rem 0.1rem;
		border: 1.5px solid color-mix(in oklch, var(--color-base-content) 32%, transparent);
		border-radius: 0.35rem;
		background: var(--shade, var(--color-base-100));
		cursor: pointer;
	}
	.unread {
		border-style: dashed;
	}
	.cell[data-warmth='look'] {
		border-color: var(--ember);
		box-shadow: 0 0 14px color-mix(in oklch, var(--ember) 70%, transparent);
	}
	.cell[data-warmth='stop'] {
		border: 3px solid var(--stop);
		box-shadow: 0 0 22px color-mix(in oklch, var(--stop) 90%, transparent);
	}
	.selected {
		outline: 3px solid var(--color-base-content);
		outline-offset: 2px;
	}
	/* Its two lines are kept free: a verdict that comes while somebody taps must not move what is below. */
	.mark {
		margin-top: 0.3rem;
		min-height: 2.2em;
		font-size: 0.82rem;
		line-height: 1.1;
		font-weight: 700;
		text-align: center;
		color: var(--muted);
	}
	.mark[data-warmth='look'],
	.mark[data-warmth='stop'] {
		color: var(--ember-text);
	}
	.low .cell {
		aspect-ratio: auto;
		min-height: 4.9rem;
		max-height: 4.9rem;
		padding: 0.3rem 0.1rem;
	}
	.low .mark {
		min-height: 0;
	}
	@media (max-width: 640px) {
		.low .cell {
			min-height: 4.4rem;
			max-height: 4.4rem;
		}
		.tray {
			grid-template-columns: repeat(5, minmax(0, 1fr));
			gap: 0.15rem 0.3rem;
			padding: 0.55rem 0.55rem 0.15rem;
		}
		.cell {
			min-height: 8.2rem;
			max-height: 8.2rem;
		}
	}
</style>
