<script lang="ts">
	import { inOwnStyle, measure } from '$lib/client/settings/own-style';
	import { CHEMISTRY_FIGURES, type Chemistry } from '$lib/core/foundation/chemistry';

	/** How a capacity test is run, drawn: what is connected, and the three stretches of its voltage. */
	interface Props {
		chemistry: Chemistry;
		/** Where the discharge ends, V. */
		dischargeLimitV: number;
		chargeLimitV: number;
	}
	let { chemistry, dischargeLimitV: cutoffV, chargeLimitV }: Props = $props();
	const nominalV = $derived(CHEMISTRY_FIGURES[chemistry].nominalV);
	const y = (v: number) => 22 + (120 * (chargeLimitV - v)) / (chargeLimitV - cutoffV);
	/** Charge to its tail, an hour of rest, discharge with its knee: the shape of it, not of any cell. */
	const curve = $derived(
		[
			`M230,${y(nominalV)} C270,${y(nominalV + 0.03)} 300,${y(nominalV + 0.06)} 330,${y(chargeLimitV)} H370`,
			`C380,${y(nominalV + 0.16)} 390,${y(nominalV + 0.13)} 420,${y(nominalV + 0.12)}`,
			`C440,${y(nominalV + 0.02)} 520,${y(nominalV)} 570,${y(nominalV - 0.04)} C590,${y(nominalV - 0.1)} 598,${y(cutoffV + 0.1)} 600,${y(cutoffV)}`
		].join(' ')
	);
</script>

<details class="sheet mb-4 p-4">
	<summary class="tap flex cursor-pointer items-center gap-2"
		><span aria-hidden="true">›</span><strong>How a capacity test is run</strong></summary
	>
	<div class="drawn">
		<svg
			viewBox="0 0 640 190"
			role="img"
			aria-label="A capacity test: charge to the tail current, rest, discharge to the cut-off"
		>
			<rect class="part" x="20" y="60" width="46" height="96" rx="4" />
			<text x="43" y="112">cell</text>
			<rect class="part" x="130" y="50" width="66" height="60" rx="6" />
			<text x="163" y="76">tester</text>
			<text x="163" y="94">or load</text>
			<path class="thick" d="M52,60 V40 H150 V50 M34,60 V28 H180 V50" />
			<path class="thin" d="M52,66 H110 V92 H130 M34,150 H118 V102 H130" />
			<text class="small" x="100" y="22">current leads, short and thick</text>
			<text class="small" x="112" y="176">sense leads on the cell’s own terminals</text>
			{#each [chargeLimitV, cutoffV] as v (v)}
				<line class="limit" x1="225" x2="620" y1={y(v)} y2={y(v)} />
				<text class="small end" x="636" y={y(v) - 4}>{v.toFixed(2)} V</text>
			{/each}
			<path class="curve" d={curve} />
			<text class="small" x="290" y="186">1 charge to the tail</text>
			<text class="small" x="396" y="186">2 rest</text>
			<text class="small" x="530" y="186">3 discharge: count Ah</text>
		</svg>
	</div>
	<ol class="list-decimal pl-5">
		<li>Charge the cell to {chargeLimitV.toFixed(2)} V at most, until the current has fallen to its tail.</li>
		<li>
			Let it rest for an hour, at {inOwnStyle('20 to 30 °C')}, on concrete or tiles, away from anything that burns.
		</li>
		<li>
			Discharge it at a steady current to {cutoffV.toFixed(2)} V by the sense leads. The Ah counted are its capacity. Look
			at its temperature in the first minutes and near the end.
		</li>
		<li>Charge it again soon: an emptied cell must not stand.</li>
	</ol>
	<p class="muted">
		The cell maker’s limits come first. Never below the discharge limit, never charge below {measure(
			CHEMISTRY_FIGURES[chemistry].chargeColdC,
			'temperature',
			0
		)}.
	</p>
</details>

<style>
	.drawn {
		overflow-x: auto;
	}
	svg {
		display: block;
		width: 100%;
		min-width: 34rem;
		max-width: 48rem;
		height: auto;
	}
	.part {
		fill: var(--measure-0);
		stroke: var(--measure-line);
	}
	text {
		font: 600 13px var(--font-sans);
		fill: var(--color-base-content);
		text-anchor: middle;
	}
	.small {
		font-size: 11.5px;
		font-weight: 500;
	}
	.end {
		text-anchor: end;
	}
	.thick {
		fill: none;
		stroke: var(--color-base-content);
		stroke-width: 5;
	}
	.thin {
		fill: none;
		stroke: var(--muted);
		stroke-width: 1.6;
		stroke-dasharray: 5 3;
	}
	.curve {
		fill: none;
		stroke: var(--color-base-content);
		stroke-width: 2.2;
	}
	.limit {
		stroke: var(--muted);
		stroke-dasharray: 2 4;
	}
</style>
