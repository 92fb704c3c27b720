<script lang="ts">
	import { inOwnStyle } from '$lib/client/settings/own-style';
	import type { Snippet } from 'svelte';
	import { settingApart } from '$lib/client/entry/set-apart';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import PlanNumber from '$lib/components/plan/PlanNumber.svelte';
	import { CoreError } from '$lib/core/foundation/errors';
	import { WHOLE_BANK } from '$lib/core/foundation/verdicts';
	import { combineWitnesses, type Combined, type Witness } from '$lib/core/test/witnesses';
	import type { ConvertedQuantity } from '$lib/core/foundation/units';
	import type { TestData } from './test-data';

	let { data, views }: { data: TestData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const ratedAh = $derived(data.overview.cellType?.ratedAh ?? null);
	type Kind = Witness['kind'];
	interface Asked {
		key: string;
		label: string;
		unit?: string;
		quantity?: ConvertedQuantity;
		times?: number;
	}
	const KINDS: Record<Kind, { name: string; fields: Asked[] }> = {
		ah: { name: 'A counter’s Ah', fields: [{ key: 'ah', label: 'Counted', unit: 'Ah' }] },
		wh: { name: 'A counter’s Wh', fields: [{ key: 'wh', label: 'Counted', unit: 'Wh' }] },
		'hours-amps': {
			name: 'Hours × amps',
			fields: [
				{ key: 'hours', label: 'For', unit: 'h' },
				{ key: 'amps', label: 'at', unit: 'A' }
			]
		},
		'watts-hours': {
			name: 'Watts × hours',
			fields: [
				{ key: 'watts', label: 'Drawn', unit: 'W' },
				{ key: 'hours', label: 'for', unit: 'h' }
			]
		},
		'kwh-out': {
			name: 'kWh behind an inverter',
			fields: [
				{ key: 'kwh', label: 'Out', unit: 'kWh' },
				{ key: 'efficiency', label: 'Efficiency', unit: '%', times: 100 }
			]
		},
		water: {
			name: 'Water warmed',
			fields: [
				{ key: 'litres', label: 'Litres', unit: 'l' },
				{ key: 'fromC', label: 'from', quantity: 'temperature' },
				{ key: 'toC', label: 'to', quantity: 'temperature' }
			]
		}
	};
	interface Line {
		kind: Kind;
		values: Record<string, number | null>;
	}
	let lines = $state<Line[]>([{ kind: 'ah', values: {} }]);
	let adding = $state<Kind>('hours-amps');
	let temperatureC = $state<number | null>(null);
	let hours = $state<number | null>(null);
	const conditions = $derived({ temperatureC, cRate: hours ? 1 / hours : null });
	const complete = $derived(
		lines.flatMap((l, i) =>
			KINDS[l.kind].fields.every((f) => f.key === 'efficiency' || l.values[f.key] != null)
				? [{ i, item: { kind: l.kind, ...l.values } as unknown as Witness }]
				: []
		)
	);
	const together = $derived.by((): { found: Combined | null; why: string | null } => {
		if (complete.length === 0) return { found: null, why: null };
		try {
			const items = complete.map((c) => c.item);
			return { found: combineWitnesses(bank.chemistry, items, ratedAh, WHOLE_BANK, conditions), why: null };
		} catch (error) {
			return { found: null, why: error instanceof CoreError ? error.message : 'These figures cannot be compared.' };
		}
	});
	const oddLine = $derived(together.found?.odd == null ? null : complete[together.found.odd]!.i);
	const set = (i: number, key: string, value: number | null) =>
		(lines = lines.map((l, k) => (k === i ? { ...l, values: { ...l.values, [key]: value } } : l)));
</script>

<StagePage
	title="Do they agree?"
	subtitle="everything that measured the same charge of one cell, set against each other"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'test')}
>
	{@render views()}
	<section class="sheet grid gap-4 p-4" aria-label="Witnesses">
		<ol class="grid gap-3">
			{#each lines as l, i (i)}
				<li class="line" class:odd={oddLine === i}>
					<strong>{KINDS[l.kind].name}</strong>
					<div class="flex flex-wrap items-end gap-3">
						{#each KINDS[l.kind].fields as f (f.key)}
							<div class="w-32">
								<PlanNumber
									label={f.label}
									unit={f.unit}
									quantity={f.quantity}
									times={f.times ?? 1}
									usual={f.key === 'efficiency' ? 90 : undefined}
									value={l.values[f.key] ?? null}
									onkeep={(v) => set(i, f.key, v)}
								/>
							</div>
						{/each}
						<button class="btn btn-ghost tap" onclick={() => (lines = lines.filter((_, k) => k !== i))}
							>Take it off</button
						>
					</div>
					{#if oddLine === i}<p class="ember-text">This one contradicts the others, and is left out.</p>{/if}
				</li>
			{/each}
		</ol>
		<div class="flex flex-wrap items-end gap-2">
			<label
				><span class="field-label">Another witness</span>
				<select class="select tap" bind:value={adding}>
					{#each Object.entries(KINDS) as [kind, { name }] (kind)}<option value={kind}>{name}</option>{/each}
				</select></label
			>
			<button class="btn tap" onclick={() => (lines = [...lines, { kind: adding, values: {} }])}>Add it</button>
		</div>
		<div class="flex flex-wrap items-end gap-3" role="group" aria-label="The discharge">
			<div class="w-40">
				<PlanNumber label="From full to empty in" unit="h" value={hours} onkeep={(v) => (hours = v)} />
			</div>
			<div class="w-40">
				<PlanNumber
					label="Temperature of the cell"
					quantity="temperature"
					value={temperatureC}
					onkeep={(v) => (temperatureC = v)}
				/>
			</div>
			<p class="muted text-sm">The volts between Ah and Wh fall with the rate, and more in the cold.</p>
		</div>
		<div aria-live="polite">
			{#if together.found}
				{@const { verdict } = together.found}
				<p class="text-xl font-bold">{inOwnStyle(verdict.title)}</p>
				<p>{inOwnStyle(verdict.finding)}</p>
				<p class="muted">{verdict.doubt} {verdict.rule}</p>
				{#if verdict.next}<p class="font-semibold">{inOwnStyle(verdict.next)}</p>{/if}
			{:else if together.why}<p class="ember-text">{together.why}</p>
			{:else}<p class="muted">Write down what one of them says.</p>{/if}
		</div>
	</section>
</StagePage>

<style>
	.odd {
		border-left: 3px solid var(--ember);
		padding-left: 0.6rem;
	}
</style>
