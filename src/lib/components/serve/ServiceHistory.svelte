<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import { inOwnStyle } from '$lib/client/settings/own-style';
	import type { BatteryService } from '$lib/core/serve/state';
	import { byYear } from './by-year';
	import { formatDate, type Settings } from '$lib/core/foundation/units';

	/** Checks and capacity tests of a battery, the latest year open. */
	interface Props {
		serve: BatteryService;
		dateStyle: Settings['dateStyle'];
		ontakeout: (kind: 'service-checks' | 'capacity-tests', id: number, version: number) => void;
	}
	let { serve, dateStyle, ontakeout }: Props = $props();
	const years = $derived(
		byYear([
			...serve.checks.map(({ check, judgement }) => ({
				...{ kind: 'service-checks' as const, id: check.id, version: check.version, at: check.checkedAt },
				...{ what: `Check, ${check.context}`, figure: `${check.currentA.toFixed(1)} A`, notes: check.notes ?? null },
				judged: judgement.judged ? inOwnStyle(judgement.verdicts[0]!.title) : judgement.reason
			})),
			...serve.tests.map((t) => ({
				...{ kind: 'capacity-tests' as const, id: t.id, version: t.version, at: t.testedAt },
				...{ what: 'Capacity test', figure: `${t.capacityAh.toFixed(1)} ± ${(1.96 * t.sdAh).toFixed(1)} Ah` },
				notes: t.notes ?? null,
				judged: `${((t.capacityAh / serve.ratedAh) * 100).toFixed(1)} % of rated, ${t.efc === null ? 'cycles not counted' : `${t.efc.toFixed(0)} EFC`}`
			}))
		])
	);
</script>

<PhoneFold title="What was logged" answer={years.length ? `${years.at(-1)!.year} to ${years[0]!.year}` : 'nothing yet'}>
	{#each years as { year, entries }, i (year)}
		<details open={i === 0}>
			<summary class="tap flex cursor-pointer items-center gap-3"
				><span aria-hidden="true">›</span><strong class="figure">{year}</strong>
				<span class="muted"
					>{entries.filter((e) => e.kind === 'service-checks').length} checks, {entries.filter(
						(e) => e.kind === 'capacity-tests'
					).length} capacity tests</span
				></summary
			>
			<ol class="grid gap-2 pb-2">
				{#each entries as e (e.kind + e.id)}
					<li class="entry">
						<span class="muted">{formatDate(e.at, dateStyle)} · {e.what}</span>
						<span class="figure font-semibold">{e.figure}</span>
						<span class="judged">{e.judged}{e.notes ? ` “${e.notes}”` : ''}</span>
						<button class="btn btn-ghost tap" onclick={() => ontakeout(e.kind, e.id, e.version)}>Take out</button>
					</li>
				{/each}
			</ol>
		</details>
	{:else}<p class="muted">Nothing yet.</p>{/each}
</PhoneFold>

<style>
	.entry {
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		align-items: center;
		gap: 0 1rem;
		border-top: 1px solid var(--line);
		padding-top: 0.4rem;
	}
	.judged {
		min-width: 0;
	}
</style>
