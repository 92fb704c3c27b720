<script lang="ts">
	import { untrack } from 'svelte';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import BatteryDrawing from '$lib/components/tray/BatteryDrawing.svelte';
	import { fitting, type ShownInstrument } from '$lib/components/instruments/instrument-choice';
	import { judgeBalanceLeads } from '$lib/core/build/leads';
	import { parseReading, splitPasted } from '$lib/core/foundation/reading';
	import { CoreError } from '$lib/core/foundation/errors';
	import type { BatteryBuild } from '$lib/core/build/state';
	import { percentText, typedVolts } from './lead-entry';
	import Staircase from './Staircase.svelte';

	interface Props {
		bankId: number;
		rehearsal: boolean;
		build: BatteryBuild;
		cellNames: readonly (readonly string[])[];
		instruments: ShownInstrument[];
	}
	let { bankId, rehearsal, build, cellNames, instruments }: Props = $props();
	const series = $derived(build.battery.series);
	// svelte-ignore state_referenced_locally
	let typed = $state(typedVolts(build.reading?.readingsV ?? null, build.battery.series + 1));
	// svelte-ignore state_referenced_locally
	let positive = $state(typedVolts(build.reading?.positiveV ?? null, build.battery.series + 1));
	/** The record this sitting writes into; what others read before stays. */
	let own = $state<{ id: number; version: number } | null>(null);
	let error = $state<string | null>(null);
	let busy = $state(false);
	const meter = $derived(fitting(instruments, 'voltmeter', rehearsal)[0] ?? null);

	function voltsOf(text: string): number | null {
		if (text.trim() === '') return null;
		try {
			return parseReading(text, 'restVoltage').value;
		} catch {
			return null;
		}
	}
	const volts = $derived(typed.map(voltsOf));
	const positiveV = $derived(positive.map(voltsOf));
	const anyRead = $derived(volts.some((v) => v !== null));
	const judgement = $derived(
		anyRead
			? judgeBalanceLeads({ series, cells: build.cells, readingsV: volts, positiveV, meterSdV: build.meterSdV })
			: null
	);
	const best = $derived(judgement?.explanations[0] ?? null);
	const wrong = $derived(new Set(best && best.code !== 'right' && best.probability > 0.5 ? best.leads : []));
	const allWrong = $derived(best?.code === 'polarity' && best.leads.length === 0 && best.probability > 0.5);
	const drawnLeads = $derived(
		typed.map((_, k) => ({
			node: best && best.probability > 0.5 ? (best.nodeOf[k] ?? null) : k,
			warm: allWrong || wrong.has(k)
		}))
	);

	const written = () => JSON.stringify([volts, positiveV.some((v) => v !== null) ? positiveV : null]);
	// svelte-ignore state_referenced_locally
	let stored = build.reading ? JSON.stringify([build.reading.readingsV, build.reading.positiveV]) : null;
	let queue = Promise.resolve();
	/** Kept at once, whatever is read so far; one write after the other, each on the version the one before left. */
	function keep(): Promise<void> {
		queue = queue.then(store);
		return queue;
	}
	async function store(): Promise<void> {
		error = null;
		const bad = typed.findIndex((text, k) => text.trim() !== '' && volts[k] === null);
		if (bad >= 0) return void (error = `Lead ${bad}: write a voltage like 6.602.`);
		const now = written();
		if (!anyRead || now === stored) return;
		await attempt(async () => {
			const [readingsV, alsoPositiveV] = JSON.parse(now) as [(number | null)[], (number | null)[] | null];
			const body = { readingsV, positiveV: alsoPositiveV, readAt: new Date().toISOString() };
			const record = (
				own
					? await api.patch(`lead-readings/${own.id}`, { ...body, version: own.version })
					: await api.post('lead-readings', {
							...body,
							batteryId: build.battery.id,
							meter: meter?.name ?? null,
							clientKey: crypto.randomUUID()
						})
			) as { id: number; version: number };
			own = { id: record.id, version: record.version };
			stored = now;
			await lookAgain();
		});
	}
	const input = (k: number) => document.querySelector<HTMLInputElement>(`[name="lead-${k}"]`);
	async function next(event: KeyboardEvent, k: number) {
		if (event.key !== 'Enter') return;
		event.preventDefault();
		input(k + 1)?.focus();
		if (k === series) (event.currentTarget as HTMLInputElement).blur();
	}
	async function paste(event: ClipboardEvent, from: number) {
		const lines = splitPasted(event.clipboardData?.getData('text') ?? '');
		if (lines.length < 2) return;
		event.preventDefault();
		typed = typed.map((v, i) => (i >= from && i - from < lines.length ? (lines[i - from] ?? '') : v));
		await keep();
	}
	async function read(leads: readonly number[]) {
		busy = true;
		for (const lead of leads) {
			const done = await attempt(async () => {
				const { voltageV } = await api.post(`banks/${bankId}/read-battery`, {
					instrumentId: meter!.id,
					lead,
					batteryId: build.battery.id
				});
				if (voltageV === null) throw new CoreError('open', 'lead', 'The voltmeter reads nothing.');
				typed[lead] = voltageV.toFixed(3);
			});
			if (!done) break;
		}
		await keep();
		busy = false;
	}
	async function readFromPositive(lead: number) {
		busy = true;
		await attempt(async () => {
			const { voltageV } = await api.post(`banks/${bankId}/read-battery`, {
				...{ instrumentId: meter!.id, lead, positive: true, batteryId: build.battery.id }
			});
			positive[lead] = voltageV!.toFixed(3);
		});
		await keep();
		busy = false;
	}
	async function again() {
		typed = typedVolts(null, series + 1);
		positive = typedVolts(null, series + 1);
		own = null;
		stored = null;
		await Promise.resolve();
		untrack(() => input(0)?.focus());
	}
	/** Digits that an expectation with this doubt is worth. */
	const digits = (sdV: number) => (sdV < 0.004 ? 3 : sdV < 0.05 ? 2 : 1);
	const nextUnread = $derived(typed.findIndex((text) => text.trim() === ''));
</script>

<section class="sheet grid gap-3 p-3 sm:p-4" aria-label="Balance leads">
	<p class="muted">
		<strong class="text-base-content">The plug stays out.</strong> Black probe on battery negative (−, node 0), red on each
		pin in turn. From above, as it stands on the bench.
	</p>
	<div class="overflow-x-auto">
		<div class="board">
			<BatteryDrawing
				shape={build.battery}
				{series}
				parallel={build.battery.parallel}
				cells={cellNames}
				leads={drawnLeads}
				label="The battery from above with its balance leads{best && best.code !== 'right'
					? `. Most likely: ${best.text}`
					: ''}"
			>
				<div class="boxes" class:narrow={series > 5} style:--leads={series + 1}>
					{#each typed as _, k (k)}
						{@const { voltageV, sdV } = build.expected[k]!}
						<label class="box" class:warm={allWrong || wrong.has(k)}>
							<span>lead {k}</span>
							<input
								name="lead-{k}"
								class="figure"
								inputmode="decimal"
								autocomplete="off"
								placeholder="·"
								bind:value={typed[k]}
								onkeydown={(e) => next(e, k)}
								onchange={keep}
								onpaste={(e) => paste(e, k)}
								aria-label="Lead {k}, volts; expected {voltageV.toFixed(2)}"
							/>
							<span class="muted">expect {voltageV.toFixed(digits(sdV))} ± {(1.96 * sdV).toFixed(digits(sdV))}</span>
						</label>
					{/each}
				</div>
				<Staircase expected={build.expected} read={volts} warm={(k) => allWrong || wrong.has(k)} />
			</BatteryDrawing>
		</div>
	</div>
	{#if error}<p class="ember-text font-semibold" role="alert">{error}</p>{/if}
	<div class="flex flex-wrap items-center gap-3">
		{#if meter}
			<button class="btn btn-primary tap" disabled={busy || nextUnread < 0} onclick={() => read([nextUnread])}
				>{nextUnread < 0 ? 'All are read' : `Read lead ${nextUnread} with ${meter.name}`}</button
			>
			{#if rehearsal}<button class="btn tap" disabled={busy} onclick={() => read(typed.map((_, k) => k))}
					>Read all {series + 1} in turn</button
				>{/if}
		{/if}
		<button class="btn tap" disabled={busy || !anyRead} onclick={again}>Read all again</button>
	</div>
	{#if judgement}
		<details class="explanations" open={!judgement.pass}>
			<summary class="tap">
				{judgement.pass ? 'Every lead is on its own node.' : `Most likely: ${best!.text}`}
				<span class="figure">{percentText(best!.probability)}</span>
			</summary>
			<ul>
				{#each judgement.explanations.slice(0, 5) as e (`${e.code} ${e.leads.join()}`)}
					<li><span class="figure">{percentText(e.probability)}</span> {e.text}</li>
				{/each}
			</ul>
			{#if judgement.next}
				{@const { lead, against, expect } = judgement.next}
				<p class="mt-2">
					<strong>What decides: lead {lead} against battery {against}.</strong>
					{#each expect.slice(0, 4) as { code, voltageV }, i (i)}<span class="whitespace-nowrap"
							>{i ? '; ' : ''}<span class="figure">{voltageV.toFixed(2)} V</span> if {code.replace('-', ' ')}</span
						>{/each}.
				</p>
				{#if against === 'positive'}
					<div class="mt-2 flex flex-wrap items-end gap-3">
						<label>
							<span class="field-label">Lead {lead} against battery +, V</span>
							<input
								class="input tap figure w-40"
								inputmode="text"
								bind:value={positive[lead]}
								onchange={keep}
								name="positive"
							/>
						</label>
						{#if meter}<button class="btn tap" disabled={busy} onclick={() => readFromPositive(lead)}
								>Read it with {meter.name}</button
							>{/if}
					</div>
				{/if}
			{/if}
		</details>
	{/if}
	<p class="muted">
		{'cellsV' in build.cells
			? 'Expected: from what each cell read by itself.'
			: 'Expected: from what such cells may read.'}
		A high resistance in a lead does not show to a meter: watch its group while the balancer draws current.
	</p>
</section>

<style>
	.board {
		min-width: min(100%, 34rem);
	}
	.boxes {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(5.2rem, 1fr));
		gap: 0.4rem;
	}
	@media (min-width: 641px) {
		.boxes {
			grid-template-columns: repeat(min(var(--leads), 9), minmax(0, 1fr));
		}
	}
	.box {
		display: flex;
		flex-direction: column;
		padding: 0.35rem 0.45rem;
		border: 1px solid var(--line);
		border-radius: 0.5rem;
		font-size: 0.875rem;
		min-width: 0;
	}
	.box input {
		width: 100%;
		min-height: 2.4rem;
		font-size: 1.15rem;
		font-weight: 650;
		background: transparent;
	}
	.narrow .box input {
		font-size: 1rem;
		letter-spacing: -0.03em;
	}
	.box.warm {
		border: 2px solid var(--stop);
	}
	.box.warm input {
		color: var(--ember-text);
	}
	.box .muted {
		font-size: 0.875rem;
		letter-spacing: -0.02em;
		line-height: 1.2;
	}
	summary {
		display: flex;
		flex-wrap: wrap;
		gap: 0.6rem;
		align-items: center;
		cursor: pointer;
		font-weight: 700;
	}
	li {
		display: flex;
		gap: 0.8rem;
	}
	li .figure {
		min-width: 4.2rem;
		text-align: right;
	}
</style>
