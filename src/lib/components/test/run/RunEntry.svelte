<script lang="ts">
	import { enhance } from '$app/forms';
	import type { AnswerFor } from '$lib/client/api/api-shapes';
	import { shownIn } from '$lib/client/settings/own-style';
	import { formKept } from '$lib/client/entry/form-kept';
	import HandConditions from './HandConditions.svelte';
	import Protocols from '../queue/Protocols.svelte';
	import ResultQuestions from './ResultQuestions.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import type { Chemistry } from '$lib/core/foundation/chemistry';
	import type { Protocol } from '$lib/core/test/clauses';
	import { formatDuration } from '$lib/core/foundation/units';

	export interface LogDraft {
		fileName: string;
		text: string;
		analysis: AnswerFor<'post', 'capacity-run/analyse'>;
	}
	interface Props {
		cellLabel: string;
		draft: LogDraft | null;
		busy: string | null;
		temperatureUnit: string;
		/** One log for this cell, or several for the cells their names say. */
		onfiles: (files: File[]) => void;
		/** Temperatures in the user's unit: on the cell, and the one it was held at on purpose. */
		onstore: (temperature: number | null, bridgeGaps: boolean, heldAt: number | null) => void;
		ondrop: () => void;
		/** A result by hand was stored. */
		onhand: () => void;
		cellId: number;
		/** Why a result by hand was refused before the page was awake. */
		/** Ways to run a cell. */
		ways: readonly Protocol[];
		ratedAh: number;
		chemistry: Chemistry;
		refused: { fields?: Record<string, string>; typed?: Record<string, string> } | null;
	}
	let {
		cellLabel,
		draft,
		busy,
		temperatureUnit,
		onfiles,
		onstore,
		ondrop,
		onhand,
		cellId,
		ways,
		ratedAh,
		chemistry,
		refused
	}: Props = $props();
	let fields = $derived(refused?.fields ?? {});
	let temperature = $state<number | null>(null);
	/** Held at this temperature on purpose; null: as the room was. */
	let heldAt = $state<number | null>(null);
	let bridgeGaps = $state(false);
	const blank = () => ({
		...{ capacityAh: null as number | null, sdAh: null as number | null, energyWh: null as number | null },
		...{ currentA: null as number | null, powerW: null as number | null, cutoffV: null as number | null },
		...{ restH: null as number | null, tester: '', full: 'unknown' as 'unknown' | 'yes' | 'no' }
	});
	let hand = $state(blank());
	let testedAt = $state<string | null>(null);
	let testedDoubtS = $state<number | null>(null);
	/** What was typed looks odd, and nobody has said yet that it is right. */
	let asks = $state(false);
	const gaps = $derived(draft?.analysis.faults.some((f) => f.code.startsWith('gap')) ?? false);
	let over = $state(false);

	/** It was run like that: what the way says is written where nothing else has been. */
	function follow(way: Protocol) {
		heldAt = shownIn(way.temperatureC, 'temperature');
		hand = {
			...hand,
			...(way.dischargeCRate === null
				? {}
				: { currentA: Number((way.dischargeCRate * ratedAh).toPrecision(3)), powerW: null }),
			...{ cutoffV: way.cutoffV ?? hand.cutoffV, restH: way.restH ?? hand.restH },
			full: way.chargeV === null ? hand.full : 'yes'
		};
	}
	function dropped(event: DragEvent) {
		event.preventDefault();
		over = false;
		const files = [...(event.dataTransfer?.files ?? [])];
		if (files.length) onfiles(files);
	}
</script>

<section class="sheet grid gap-4 p-4" aria-label="Capacity run of {cellLabel}">
	<h2>Capacity run of {cellLabel}</h2>
	<div class="flex flex-wrap gap-3">
		<Field
			label="Cell temperature"
			unit={temperatureUnit}
			type="number"
			bind:value={temperature}
			class="w-60"
			hint="blank: taken for a cool shed’s, with its doubt"
		/>
		<Field
			label="Held on purpose at"
			unit={temperatureUnit}
			type="number"
			bind:value={heldAt}
			error={fields.heldAtC}
			class="w-72"
			hint="a warm box or the cold; blank: in the room"
		/>
	</div>
	{#if draft}
		<div>
			<p><strong>{draft.fileName}</strong></p>
			<dl class="figures">
				<div>
					<dt>Charge</dt>
					<dd class="figure">{draft.analysis.capacityAh.toFixed(2)} Ah</dd>
				</div>
				<div>
					<dt>Energy</dt>
					<dd class="figure">{draft.analysis.energyWh.toFixed(1)} Wh</dd>
				</div>
				<div>
					<dt>Mean voltage</dt>
					<dd class="figure">{draft.analysis.meanVoltageV?.toFixed(3) ?? '–'} V</dd>
				</div>
				<div>
					<dt>Mean current</dt>
					<dd class="figure">{draft.analysis.currentA?.toFixed(2) ?? '–'} A</dd>
				</div>
				<div>
					<dt>Rate used</dt>
					<dd class="figure">{draft.analysis.cRate?.toFixed(2) ?? '–'} C</dd>
				</div>
				<div>
					<dt>Time</dt>
					<dd class="figure">{formatDuration(draft.analysis.durationS)}</dd>
				</div>
			</dl>
			<p class="text-sm muted">
				Read as: time “{draft.analysis.columns.time.header}”, voltage “{draft.analysis.columns.voltage.header}” in {draft
					.analysis.columns.voltage.unit}, current “{draft.analysis.columns.current.header}” in {draft.analysis.columns
					.current.unit}.
			</p>
			{#if draft.analysis.faults.length}
				<h3 class="mt-2 font-bold">Found in the log</h3>
				<ul class="list-disc pl-5">
					{#each draft.analysis.faults as fault, i (i)}<li>{fault.message}</li>{/each}
				</ul>
			{:else}<p class="mt-1">No faults found in the log.</p>{/if}
			{#if gaps}<label class="tap mt-2 flex items-center gap-2"
					><input type="checkbox" class="checkbox" bind:checked={bridgeGaps} /> The current went on through the gaps: count
					them</label
				>{/if}
		</div>
		<div class="flex gap-2">
			<button
				class="btn btn-primary tap"
				disabled={busy !== null}
				onclick={() => onstore(temperature, bridgeGaps, heldAt)}>Store this run</button
			>
			<button class="btn tap" onclick={ondrop}>Leave it</button>
		</div>
	{:else}
		<label
			class="drop tap"
			class:over
			ondragover={(e) => {
				e.preventDefault();
				over = true;
			}}
			ondragleave={() => (over = false)}
			ondrop={dropped}
		>
			<span
				><strong>Choose the tester’s log</strong> or drop it here. CSV with time, voltage, current; any of the usual spellings
				and units. Several at once go to the cells their names say.</span
			>
			<input
				type="file"
				multiple
				accept=".csv,.txt,.tsv,text/csv"
				class="sr-only"
				aria-label="Log file"
				onchange={(e) => {
					const files = [...(e.currentTarget.files ?? [])];
					if (files.length) onfiles(files);
					e.currentTarget.value = '';
				}}
			/>
		</label>
		<form
			method="POST"
			action="?/hand"
			class="grid gap-3"
			use:enhance={formKept({
				quiet: true,
				onfields: (refusals) => (fields = refusals),
				onkept: () => {
					// The tester stays on the bench; everything else was of this cell.
					hand = { ...blank(), tester: hand.tester };
					onhand();
				}
			})}
		>
			<input type="hidden" name="cellId" value={cellId} />
			<input type="hidden" name="temperatureC" value={temperature ?? ''} />
			<input type="hidden" name="heldAtC" value={heldAt ?? ''} />
			<div class="flex flex-wrap items-end gap-3">
				<Field
					label="Or the result by hand"
					unit="Ah"
					type="number"
					name="capacityAh"
					bind:value={hand.capacityAh}
					error={fields.capacityAh}
				/>
				<Field
					label="Usually off by, ±"
					unit="Ah"
					type="number"
					name="sdAh"
					bind:value={hand.sdAh}
					placeholder="1 % of it"
					error={fields.sdAh}
				/>
				<button class="btn tap" disabled={busy !== null || asks}>Store by hand</button>
			</div>
			<ResultQuestions bind:capacityAh={hand.capacityAh} energyWh={hand.energyWh} {ratedAh} {chemistry} bind:asks />
			<details>
				<summary class="tap flex cursor-pointer items-center muted"
					>How it was run: rate, cut-off, tester, when. What is known is corrected for; blank is doubt.</summary
				>
				<div class="pt-2"><Protocols {ways} onfollow={follow} /></div>
				<HandConditions bind:hand bind:testedAt bind:testedDoubtS {fields} />
			</details>
		</form>
	{/if}
	{#if busy}<p role="status" class="flex items-center gap-2"><progress class="progress w-40"></progress>{busy}</p>{/if}
</section>

<style>
	.drop {
		display: block;
		border: 2px dashed var(--color-base-content);
		border-radius: 0.6rem;
		padding: 1.25rem;
		cursor: pointer;
	}
	.drop.over,
	.drop:focus-within {
		background: var(--color-base-300);
	}
	.figures {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(8rem, 1fr));
		gap: 0.5rem 1rem;
		margin: 0.5rem 0;
	}
	dt {
		font-size: 0.85rem;
		color: var(--muted);
	}
	dd {
		font-size: 1.15rem;
		font-weight: 650;
	}
</style>
