<script lang="ts">
	import type { RehearsalJudgement } from '$lib/core/world/rehearsal';
	import { money } from './rehearsal-words';

	let { judgement }: { judgement: RehearsalJudgement } = $props();
</script>

<section class="sheet p-4" aria-label="What was hidden">
	<h2>What was hidden</h2>
	{#if judgement.defects.length === 0}<p class="mt-2">Nothing: every cell, joint and instrument was as it should be.</p>
	{:else}
		<div class="overflow-x-auto">
			<table class="table mt-2">
				<thead><tr><th>Hidden</th><th>Where</th><th>How bad</th><th>You</th><th class="text-right">Cost</th></tr></thead
				>
				<tbody>
					{#each judgement.defects as d (d.kind + (d.where ?? ''))}
						<tr>
							<td><strong>{d.name}</strong><br /><span class="muted">{d.consequence}</span></td>
							<td class="figure">{d.where ?? ''}</td>
							<td>{d.size}</td>
							<td class="whitespace-nowrap {d.caught ? '' : 'ember-text font-semibold'}"
								>{d.caught ? '✓ caught' : '○ missed'}</td
							>
							<td class="figure text-right">{d.cost > 0 ? money(d.cost) : '–'}</td>
						</tr>
					{/each}
				</tbody>
			</table>
		</div>
	{/if}
</section>
{#if judgement.falseAlarms.length || judgement.mishaps.length}
	<section class="sheet p-4" aria-label="What else">
		{#if judgement.falseAlarms.length}
			<h2>Seen, but not there</h2>
			<ul class="mb-3 list-disc pl-5">
				{#each judgement.falseAlarms as f (f.kind + (f.where ?? ''))}<li>{f.name} {f.where ?? ''}</li>{/each}
			</ul>
		{/if}
		{#if judgement.mishaps.length}
			<h2>What happened on the way</h2>
			<ul class="list-disc pl-5">
				{#each judgement.mishaps as m (m.text)}<li>
						{m.text}
						{#if m.cost > 0}<span class="figure">{money(m.cost)}</span>{/if}
					</li>{/each}
			</ul>
		{/if}
	</section>
{/if}
<section class="sheet p-4" aria-label="What you built">
	<h2>What you built</h2>
	{#if judgement.builtAh === null}<p class="mt-1">
			Nothing was matched or built. The crate could have given a smallest group of <span class="figure"
				>{judgement.bestAh.toFixed(1)} Ah</span
			>.
		</p>
	{:else}
		<p class="mt-1">
			Smallest group <span class="figure font-semibold">{judgement.builtAh.toFixed(1)} Ah</span>; the crate could have
			given at most
			<span class="figure font-semibold">{judgement.bestAh.toFixed(1)} Ah</span>{judgement.lostCapacityCost > 0.5
				? `: ${money(judgement.lostCapacityCost)} of capacity left unused`
				: ''}.
		</p>
	{/if}
	<p class="mt-2 text-lg">
		As you left it: <strong class="figure">{money(judgement.totalCost)}</strong> in the scenario’s money.
	</p>
</section>
