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
		{#if volts !== null}<ellipse class:warm={warm(k)} cx={(k + 0.5) * STEP} cy={y(volts)} rx="9" ry="6" />{/if}
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
	ellipse {
		fill: var(--color-base-content);
		stroke: var(--color-base-100);
		stroke-width: 1.5;
	}
	ellipse.warm {
		fill: var(--stop);
	}
	@media (max-width: 640px) {
		.stairs {
			display: none;
		}
	}
</style>
