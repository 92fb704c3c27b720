<!-- Which cell is on which supply or tester, when; the nights behind. -->
<script lang="ts">
	import { scaleTime } from 'd3-scale';
	import { MONTH_NAMES } from '$lib/core/foundation/time';
	import { QUEUE_KIND_NAMES, type QueueId, type QueuePlan } from '$lib/core/test/queue';
	import { formatDateTime, type Settings } from '$lib/core/foundation/units';

	interface Props {
		plan: QueuePlan;
		labelOf: (id: QueueId) => string;
		settings: Settings;
	}
	let { plan, labelOf, settings }: Props = $props();
	const two = (n: number) => String(n).padStart(2, '0');
	const rows = $derived([...new Set(plan.steps.flatMap((s) => (s.on === null ? [] : [String(s.on)])))].sort());
	const span = $derived.by(() => {
		const ends = plan.steps.map((s) => Date.parse(s.to));
		const starts = plan.steps.map((s) => Date.parse(s.from));
		return { from: Math.min(...starts), to: Math.max(...ends) };
	});
	const WIDTH = 720;
	const LEFT = 76;
	const ROW = 30;
	const x = $derived(scaleTime([new Date(span.from), new Date(span.to)], [LEFT, WIDTH - 8]));
	const nights = $derived.by(() => {
		const list: { from: number; to: number }[] = [];
		const day = new Date(span.from);
		day.setHours(0, 0, 0, 0);
		for (let at = day.getTime() - 86_400_000; at < span.to; at += 86_400_000) {
			const from = at + settings.wakeUntilH * 3_600_000;
			const to = at + 86_400_000 + settings.wakeFromH * 3_600_000;
			if (to > span.from && from < span.to) list.push({ from: Math.max(from, span.from), to: Math.min(to, span.to) });
		}
		return list;
	});
	const days = $derived((span.to - span.from) / 86_400_000);
</script>

<svg viewBox="0 0 {WIDTH} {rows.length * ROW + 34}" class="w-full" role="img" aria-label="Which cell is on what, when">
	{#each nights as night (night.from)}<rect
			class="night"
			x={x(night.from)}
			y="0"
			width={x(night.to) - x(night.from)}
			height={rows.length * ROW}
		/>{/each}
	{#each rows as row, i (row)}
		<text x="0" y={i * ROW + 19} class="name">{row}</text>
		{#each plan.steps.filter((s) => String(s.on) === row) as s, k (k)}
			<g>
				<title
					>{labelOf(s.cellId)}: {QUEUE_KIND_NAMES[s.kind]}, {formatDateTime(s.from, settings.dateStyle)} to {formatDateTime(
						s.to,
						settings.dateStyle
					)}</title
				>
				<rect
					class="step"
					data-kind={s.kind}
					x={x(Date.parse(s.from))}
					y={i * ROW + 3}
					width={Math.max(1, x(Date.parse(s.to)) - x(Date.parse(s.from)) - 1)}
					height={ROW - 6}
					rx="3"
				/>
				{#if x(Date.parse(s.to)) - x(Date.parse(s.from)) > 34}<text
						class="in"
						x={x(Date.parse(s.from)) + 3}
						y={i * ROW + 19}>{labelOf(s.cellId)}</text
					>{/if}
			</g>
		{/each}
	{/each}
	{#each x.ticks(days > 3 ? 6 : 4) as tick (tick.getTime())}
		<text class="tick" x={x(tick)} y={rows.length * ROW + 18} text-anchor="middle"
			>{days > 3
				? `${tick.getDate()} ${MONTH_NAMES[tick.getMonth()]!.slice(0, 3)}`
				: `${two(tick.getHours())}:${two(tick.getMinutes())}`}</text
		>
	{/each}
</svg>

<style>
	.night {
		fill: var(--color-base-300);
	}
	.name,
	.tick,
	.in {
		font-size: 12px;
		fill: var(--color-base-content);
	}
	.step[data-kind='charge'] {
		fill: var(--measure-1);
	}
	.step[data-kind='discharge'] {
		fill: var(--measure-4);
	}
	.step[data-kind='store'] {
		fill: var(--measure-2);
	}
	.step {
		stroke: var(--measure-line);
		stroke-width: 0.6;
	}
</style>
