<script lang="ts">
	import { scaleLinear } from 'd3-scale';
	import type { Stop, Vessels } from '$lib/core/balance/vessels';

	interface Drawn {
		vessels: Vessels;
		/** At rest, one a cell. */
		volts: readonly number[];
		names: readonly string[];
		/** Where the curve of these cells is at 5 %, at 60 % (drawn as a line), and where it rises to full, V. */
		scaleV: { low: number; middle: number; high: number };
		stop: Stop | null;
		/** Drawn stronger, from 0. */
		selected: number;
	}
	let { vessels, volts, names, scaleV, stop, selected }: Drawn = $props();

	let WIDTH = $state(720);
	const [HEIGHT, VOLTS_HEIGHT] = [200, 56];
	/** Of a column that its figures still fit in, px. */
	const NARROWEST = 44;
	const y = $derived(scaleLinear([0, Math.max(...vessels.capacityAh)], [HEIGHT - 4, 16]));
	const slot = $derived(WIDTH / vessels.capacityAh.length);
	const wide = $derived(Math.min(64, slot * 0.62));
	const x = $derived((i: number) => i * slot + (slot - wide) / 2);
	const v = $derived(scaleLinear([Math.min(scaleV.low, ...volts), Math.max(scaleV.high, ...volts)], [50, 8]));
	// One path for all of them: a frame changes one attribute.
	const water = $derived(vessels.chargeAh.map((ah, i) => `M${x(i)},${y(0)}h${wide}V${y(ah)}h${-wide}Z`).join(''));
	const DOT_PX = 5;
	const circleAt = (cx: number, cy: number) =>
		`M${cx - DOT_PX},${cy}a${DOT_PX},${DOT_PX} 0 1,0 ${2 * DOT_PX},0a${DOT_PX},${DOT_PX} 0 1,0 ${-2 * DOT_PX},0`;
	const dots = $derived(volts.map((reading, i) => circleAt(x(i) + wide / 2, v(reading))).join(''));
</script>

<div class="overflow-x-auto">
	<div bind:clientWidth={WIDTH} style:min-width="{vessels.capacityAh.length * NARROWEST}px">
		<svg viewBox="0 0 {WIDTH} {HEIGHT}" class="w-full" role="img" aria-label="Charge in each cell">
			<path class="water" d={water} />
			{#each vessels.capacityAh as ah, i (i)}
				<g class:picked={i === selected}>
					<rect
						class="vessel"
						data-stops={stop?.cell === i ? stop.end : null}
						x={x(i)}
						width={wide}
						y={y(ah)}
						height={y(0) - y(ah)}
						rx="4"
					/>
				</g>
			{/each}
		</svg>
		<div class="columns" style:--columns={vessels.capacityAh.length}>
			{#each vessels.capacityAh as ah, i (i)}<div>
					<span class="truncate">{names[i]}</span>
					<span class="moving figure">{vessels.chargeAh[i]!.toFixed(0)}</span>
					<span class="minor">of {ah.toFixed(0)}</span>
				</div>{/each}
		</div>
		<svg viewBox="0 0 {WIDTH} {VOLTS_HEIGHT}" class="w-full" role="img" aria-label="Rest volts of each cell">
			<line class="axis" x1="0" x2={WIDTH} y1={v(scaleV.middle)} y2={v(scaleV.middle)} />
			<text x={slot} y={v(scaleV.middle) - 3} text-anchor="middle">{scaleV.middle.toFixed(2)} V</text>
			<path class="dot" d={dots} />
		</svg>
		<div class="columns" style:--columns={vessels.capacityAh.length}>
			{#each volts as reading, i (i)}<div><span class="moving minor">{reading.toFixed(3)}</span></div>{/each}
		</div>
	</div>
</div>

<style>
	.vessel {
		fill: none;
		stroke: var(--color-base-content);
		stroke-width: 1.6;
	}
	.picked .vessel {
		stroke-width: 3;
	}
	.vessel[data-stops='full'],
	.vessel[data-stops='empty'] {
		stroke: var(--ember);
		stroke-width: 4;
	}
	.water {
		fill: var(--measure-2);
	}
	.columns {
		display: grid;
		grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
		text-align: center;
		font-size: 13px;
		line-height: 1.3;
	}
	.columns span {
		display: block;
	}
	/* What changes with every frame moves nothing else. */
	.moving {
		contain: strict;
		height: 1.3em;
	}
	.minor,
	text {
		font-size: 11px;
	}
	text {
		fill: var(--color-base-content);
	}
	.axis {
		stroke: var(--line);
		stroke-dasharray: 3 4;
	}
	.dot {
		fill: var(--measure-4);
		stroke: var(--color-base-content);
	}
</style>
