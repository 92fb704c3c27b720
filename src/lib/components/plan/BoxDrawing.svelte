<script lang="ts">
	import type { BoxArrangement } from '$lib/core/assembly';
	import type { PlannedBox } from '$lib/core/planning';

	interface Props {
		box: PlannedBox;
		arrangement: BoxArrangement;
	}
	let { box, arrangement }: Props = $props();
	const across = $derived(arrangement.along === 'length');
	/** What the cells alone take. */
	const block = $derived({
		lengthMm: arrangement.takes.lengthMm - (arrangement.bmsAt === 'beside' ? (box.bms?.lengthMm ?? 0) : 0),
		widthMm: arrangement.takes.widthMm
	});
	const columns = $derived(across ? arrangement.columns : arrangement.rows);
	const rows = $derived(across ? arrangement.rows : arrangement.columns);
	const wide = $derived(Math.max(box.lengthMm, arrangement.takes.lengthMm));
	const deep = $derived(Math.max(box.widthMm, arrangement.takes.widthMm));
	const high = $derived(Math.max(box.heightMm, arrangement.takes.heightMm));
	const GAP = 60;
</script>

<!-- From above and from the side, to scale. -->
<svg
	viewBox="-10 -10 {wide + 20} {deep + high + GAP + 40}"
	class="w-full"
	style:max-height="24rem"
	role="img"
	aria-label="The box from above and from the side, to scale"
>
	<rect width={box.lengthMm} height={box.widthMm} class="box" />
	{#each { length: rows } as _, r (r)}
		{#each { length: columns } as _, c (c)}
			<rect
				x={(c * block.lengthMm) / columns + 2}
				y={(r * block.widthMm) / rows + 2}
				width={block.lengthMm / columns - 4}
				height={block.widthMm / rows - 4}
				class="cell"
			/>
		{/each}
	{/each}
	{#if arrangement.bmsAt === 'beside' && box.bms}
		<rect x={block.lengthMm} y="0" width={box.bms.lengthMm} height={box.bms.widthMm} class="bms" />
	{/if}
	<g transform="translate(0 {deep + GAP})">
		<rect width={box.lengthMm} height={box.heightMm} class="box" />
		{#each { length: columns } as _, c (c)}
			<rect
				x={(c * block.lengthMm) / columns + 2}
				y={box.heightMm - arrangement.cellHeightMm}
				width={block.lengthMm / columns - 4}
				height={arrangement.cellHeightMm}
				class="cell"
			/>
		{/each}
		{#if arrangement.bmsAt === 'above' && box.bms}
			<rect
				x="0"
				y={box.heightMm - arrangement.takes.heightMm}
				width={box.bms.lengthMm}
				height={box.bms.heightMm}
				class="bms"
			/>
		{/if}
		<text x="0" y={high + 24} font-size="22">{box.lengthMm} × {box.widthMm} × {box.heightMm} mm inside</text>
	</g>
</svg>

<style>
	.box {
		fill: none;
		stroke: var(--color-base-content);
		stroke-width: 3;
	}
	.cell {
		fill: var(--measure-2);
		stroke: var(--measure-line);
		stroke-width: 1.5;
		fill-opacity: 0.8;
	}
	.bms {
		fill: var(--color-base-300);
		stroke: var(--muted);
		stroke-width: 1.5;
	}
	text {
		fill: var(--color-base-content);
	}
</style>
