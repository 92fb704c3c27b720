<script lang="ts">
	import { extent } from 'd3-array';
	import { scaleLinear } from 'd3-scale';

	interface Props {
		expected: readonly { voltageV: number; sdV: number }[];
		/** Null where not read. */
		read: readonly (number | null)[];
		warm: (lead: number) => boolean;
	}
	let { expected, read, warm }: Props = $props();
	const STEP = 100;
	const HEIGHT = 132;
	const width = $derived(expected.length * STEP);
	const y = $derived(
		scaleLinear()
			.domain(extent([0, ...expected.map((e) => e.voltageV), ...read.filter((v) => v !== null)]) as [number, number])
			.range([HEIGHT - 8, 10])
	);
</script>

<svg class="stairs" viewBox="0 0 {width} {HEIGHT}" preserveAspectRatio="none" aria-hidden="true">
	<line x1="0" x2={width} y1={y(0)} y2={y(0)} />
	{#each expected as { voltageV, sdV }, k (k)}
		<rect
			class="step"
			x={k * STEP + 6}
			width={STEP - 12}
			y={Math.min(y(voltageV), y(0))}
			height={Math.abs(y(0) - y(voltageV))}
		/>
		<rect
			class="doubt"
			x={k * STEP + 6}
			width={STEP - 12}
			y={y(voltageV + 1.96 * sdV)}
			height={Math.max(2, y(voltageV - 1.96 * sdV) - y(voltageV + 1.96 * sdV))}
		/>
	{/each}
	{#each read as volts, k (k)}
		{#if volts !== null}<line
				class="dot"
				class:warm={warm(k)}
				x1={(k + 0.5) * STEP}
				x2={(k + 0.5) * STEP}
				y1={y(volts)}
				y2={y(volts)}
			/>{/if}
	{/each}
</svg>

<style>
	.stairs {
		display: block;
		width: 100%;
		height: 6.5rem;
		margin-top: 0.4rem;
	}
	line {
		stroke: var(--line);
		stroke-width: 2;
	}
	.step {
		fill: var(--measure-1);
	}
	.doubt {
		fill: var(--measure-line);
		opacity: 0.75;
	}
	/* A line without length is a round dot, however the drawing is stretched. */
	.dot {
		stroke: var(--color-base-content);
		stroke-width: 13px;
		stroke-linecap: round;
		vector-effect: non-scaling-stroke;
	}
	.dot.warm {
		stroke: var(--stop);
	}
	@media (max-width: 640px) {
		.stairs {
			display: none;
		}
	}
</style>
