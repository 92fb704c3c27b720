<script lang="ts">
	import { inOwnStyle } from '$lib/client/settings/own-style';
	import type { BoxArrangement } from '$lib/core/build/box';
	import type { PlannedBox } from '$lib/core/plan/bank-plan';

	interface Props {
		box: PlannedBox;
		arrangement: BoxArrangement;
	}
	let { box, arrangement }: Props = $props();
	const across = $derived(arrangement.along === 'length');
	/** What the cells alone take. */
	const beside = $derived([
		...(arrangement.bmsAt === 'beside' && box.bms ? [box.bms] : []),
		...(arrangement.fuseAt === 'beside' && box.fuse ? [box.fuse] : [])
	]);
	const above = $derived([
		...(arrangement.bmsAt === 'above' && box.bms ? [box.bms] : []),
		...(arrangement.fuseAt === 'above' && box.fuse ? [box.fuse] : [])
	]);
	const block = $derived({
		lengthMm: arrangement.takes.lengthMm - Math.max(0, ...beside.map((b) => b.lengthMm)),
		widthMm: arrangement.takes.widthMm
	});
	const before = (list: readonly { lengthMm: number; widthMm: number }[], i: number, key: 'lengthMm' | 'widthMm') =>
		list.slice(0, i).reduce((sum, b) => sum + b[key], 0);
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
	{#each beside as b, i (i)}
		<rect x={block.lengthMm} y={before(beside, i, 'widthMm')} width={b.lengthMm} height={b.widthMm} class="bms" />
	{/each}
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
		{#each above as b, i (i)}
			<rect
				x={before(above, i, 'lengthMm')}
				y={box.heightMm - arrangement.takes.heightMm}
				width={b.lengthMm}
				height={b.heightMm}
				class="bms"
			/>
		{/each}
		<text x="0" y={high + 24} font-size="22"
			>{inOwnStyle(`${box.lengthMm} × ${box.widthMm} × ${box.heightMm} mm inside`)}</text
		>
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
