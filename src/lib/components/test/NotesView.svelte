<script lang="ts">
	import RunBegan from './run/RunBegan.svelte';
	import { untrack, type Snippet } from 'svelte';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { settingApart } from '$lib/client/entry/set-apart';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import PlanNumber from '$lib/components/plan/PlanNumber.svelte';
	import { CHEMISTRY_FIGURES } from '$lib/core/foundation/chemistry';
	import Protocols from './queue/Protocols.svelte';
	import { nextWakingMoment, pauseForNight } from '$lib/core/foundation/time';
	import { protocolsFor, type Protocol } from '$lib/core/test/clauses';
	import { beganAt, type NotesFit, type SpotNote } from '$lib/core/test/run-notes';
	import { formatDateTime, formatDuration } from '$lib/core/foundation/units';
	import type { StoredNotes as Stored, TestData } from './test-data';

	let { data, views }: { data: TestData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const cellType = $derived(data.overview.cellType);
	const style = $derived(data.settings.dateStyle);
	const usualCutoffV = $derived(cellType?.dischargeLimitV ?? CHEMISTRY_FIGURES[bank.chemistry].dischargeLimitV);
	const ways = $derived(protocolsFor(bank.chemistry, cellType, data.clause, data.protocols));
	const known = $derived(data.notedRuns);
	let cellId = $state<number | null>(null);
	const cell = $derived(
		data.capacities.find((c) => c.cell.id === cellId)?.cell ??
			data.capacities.find((c) => known.some((k) => k.cellId === c.cell.id))?.cell ??
			data.capacities.find((c) => c.run === null)?.cell ??
			data.capacities[0]?.cell ??
			null
	);
	/** What is written here; the record follows it, one change after the other. */
	let run = $state<Stored | null>(null);
	let line: Promise<unknown> = Promise.resolve();
	$effect(() => {
		const id = cell?.id;
		const stored = known.find((k) => k.cellId === id) ?? null;
		untrack(() => {
			if (stored && (run?.id !== stored.id || stored.version > run.version))
				run = { ...stored, notes: [...stored.notes] };
			else if (!stored && run && run.cellId !== id) run = null;
		});
	});
	let fit = $state<NotesFit | null>(null);
	let why = $state<string | null>(null);
	const inOrder = $derived(run?.notes ?? []);

	/** One for each discharge, so that a line sent twice begins no second one. */
	let clientKey = crypto.randomUUID();

	/** All that is written goes along each time: what failed before is not lost. */
	function keep(changes: Partial<Stored>) {
		if (!cell) return;
		const id = cell.id;
		if (!run) clientKey = crypto.randomUUID();
		const base: Stored = run ?? {
			...{ id: 0, version: 0, cellId: id, startedAt: new Date().toISOString() },
			...{ currentA: null, powerW: null, cutoffV: usualCutoffV, notes: [] },
			...{ lookAgainAt: null, startedFull: null, restS: null }
		};
		run = { ...base, ...changes };
		line = line.then(() =>
			attempt(async () => {
				if (!run || run.cellId !== id) return;
				const { id: runId, version, startedAt, currentA, powerW, cutoffV, notes, lookAgainAt, restS } = run;
				const startedFull = run.startedFull ? true : null;
				const fields = { startedAt, currentA, powerW, cutoffV, notes, lookAgainAt, restS, startedFull };
				const written = JSON.parse(JSON.stringify(fields)) as typeof fields;
				const stored = (runId
					? await api.patch(`noted-runs/${runId}`, { ...written, version })
					: await api.post('noted-runs', { ...written, cellId: id, clientKey })) as unknown as Stored;
				if (run?.cellId === id) run = { ...run, id: stored.id, version: stored.version };
			})
		);
	}
	const note = (i: number, changes: SpotNote) =>
		keep({ notes: inOrder.map((n, k) => (k === i ? { ...n, ...changes } : n)) });
	const add = () =>
		keep({
			notes: [
				...inOrder,
				{ timeS: run ? Math.max(0, (Date.now() - Date.parse(run.startedAt)) / 1000) : 0, ah: null, voltageV: null }
			]
		});
	const useful = $derived(inOrder.filter((n) => n.voltageV != null && (n.timeS != null || n.ah != null)).length);

	let asked = 0;
	$effect(() => {
		const own = run;
		const ready = own && useful > 0 && (own.currentA !== null) !== (own.powerW !== null);
		const turn = ++asked;
		if (!ready) {
			fit = null;
			why = null;
			return;
		}
		const body = {
			...{ chemistry: bank.chemistry, ratedAh: cellType?.ratedAh ?? 100, cutoffV: own.cutoffV },
			load: own.currentA !== null ? { currentA: own.currentA } : { powerW: own.powerW },
			notes: JSON.parse(JSON.stringify(own.notes)) as SpotNote[]
		};
		const timer = setTimeout(() => {
			void (api.post('runs/fit-notes', body) as Promise<unknown>)
				.then((found) => {
					if (turn !== asked) return;
					fit = found as NotesFit;
					why = null;
					remind();
				})
				.catch((error: unknown) => {
					if (turn !== asked) return;
					fit = null;
					why = error instanceof Error ? error.message : 'These lines could not be fitted.';
				});
		}, 300);
		return () => clearTimeout(timer);
	});
	/** Where it may end while everybody sleeps: when to pause, and when to go on. */
	const night = $derived.by(() => {
		if (!fit || !run) return null;
		const ms = (s: number) => Date.parse(run!.startedAt) + 1000 * s;
		const waking = { fromH: data.settings.wakeFromH, untilH: data.settings.wakeUntilH };
		const ends = { fromMs: ms(fit.finishS.low95), untilMs: ms(fit.finishS.high95) };
		// What should have ended by now is not paused any more.
		if (ends.untilMs < Date.now()) return null;
		return pauseForNight(Date.now(), ends.fromMs, ends.untilMs, waking, -new Date().getTimezoneOffset());
	});
	/** Rings when it is to be read again; a night before that rings in the evening, so that it can be paused. */
	function remind() {
		if (!fit || !run) return;
		const waking = { fromH: data.settings.wakeFromH, untilH: data.settings.wakeUntilH };
		const lookMs = night?.pauseMs ?? Date.parse(run.startedAt) + 1000 * fit.lookAgainS;
		const atMs = nextWakingMoment(lookMs, waking, -new Date().getTimezoneOffset());
		const lookAgainAt = new Date(Math.round(atMs / 60_000) * 60_000).toISOString();
		if (atMs > Date.now() && lookAgainAt !== run.lookAgainAt) keep({ lookAgainAt });
	}
	function follow(way: Protocol) {
		keep({
			...(way.dischargeCRate === null
				? {}
				: { currentA: Number((way.dischargeCRate * (cellType?.ratedAh ?? 100)).toPrecision(2)), powerW: null }),
			cutoffV: way.cutoffV ?? usualCutoffV,
			restS: way.restH === null ? null : way.restH * 3600
		});
	}
	const at = (s: number) =>
		run ? formatDateTime(new Date(Date.parse(run.startedAt) + s * 1000).toISOString(), style) : '';

	async function becomeRun() {
		if (!run || !fit || !cell) return;
		const { capacityAh, finishS } = fit;
		const sdAh = (capacityAh.high95 - capacityAh.low95) / 3.92;
		const own = run;
		const done = await attempt(async () => {
			const stored = (await api.post('runs', {
				...{ cellId: own.cellId, capacityAh: Number(capacityAh.likely.toFixed(2)), sdAh: Number(sdAh.toFixed(3)) },
				...{ currentA: own.currentA === null ? null : -own.currentA, powerW: own.powerW, cutoffV: own.cutoffV },
				...{ startedFull: own.startedFull, restS: own.restS, tester: 'by notes' },
				testedAt: new Date(Date.parse(own.startedAt) + finishS.likely * 1000).toISOString()
			})) as { id: number };
			await line;
			await api.patch(`noted-runs/${own.id}`, { runId: stored.id, version: run!.version });
		});
		if (!done) return;
		announce(`Run of ${cell.label} stored.`);
		run = null;
		fit = null;
		await lookAgain();
	}
</script>

<StagePage
	title="What will it give?"
	subtitle="a discharge followed by lines copied off a display at odd hours"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'test')}
>
	{@render views()}
	{#if cell}
		<section class="sheet grid gap-4 p-4" aria-label="Run of {cell.label} by notes">
			<div class="grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
				<label
					><span class="field-label">Cell</span>
					<select class="select tap w-full" value={cell.id} onchange={(e) => (cellId = Number(e.currentTarget.value))}>
						{#each data.capacities as c (c.cell.id)}<option value={c.cell.id}
								>{c.cell.label}{known.some((k) => k.cellId === c.cell.id) ? ', goes on' : ''}</option
							>{/each}
					</select></label
				>
				<PlanNumber
					label="Discharged with"
					unit="A"
					value={run?.currentA ?? null}
					onkeep={(currentA) => keep({ currentA, ...(currentA === null ? {} : { powerW: null }) })}
				/>
				<PlanNumber
					label="or with"
					unit="W"
					value={run?.powerW ?? null}
					onkeep={(powerW) => keep({ powerW, ...(powerW === null ? {} : { currentA: null }) })}
				/>
				<PlanNumber
					label="Down to"
					unit="V"
					value={run?.cutoffV ?? null}
					usual={usualCutoffV}
					onkeep={(v) => keep({ cutoffV: v ?? usualCutoffV })}
				/>
			</div>
			<Protocols {ways} onfollow={follow} />
			{#if run}<RunBegan
					startedAt={run.startedAt}
					dateStyle={style}
					onmove={(began) => keep(beganAt(run!.startedAt, inOrder, began))}
				/>{/if}
			<ol class="grid gap-2">
				{#each inOrder as n, i (i)}
					<li class="line" class:odd={fit?.oddNote === i}>
						<PlanNumber
							label="After"
							unit="h"
							value={n.timeS ?? null}
							times={1 / 3600}
							onkeep={(timeS) => note(i, { timeS })}
						/>
						<PlanNumber label="Shown" unit="Ah" value={n.ah ?? null} onkeep={(ah) => note(i, { ah })} />
						<PlanNumber label="Read" unit="V" value={n.voltageV ?? null} onkeep={(voltageV) => note(i, { voltageV })} />
						<button
							class="btn btn-ghost tap"
							aria-label="Take line {i + 1} off"
							onclick={() => keep({ notes: inOrder.filter((_, k) => k !== i) })}>×</button
						>
						{#if fit?.oddNote === i}<p class="ember-text col-span-full">
								This line fits no such discharge: a probe slipped, a digit turned? It is left out.
							</p>{/if}
					</li>
				{/each}
			</ol>
			<div>
				<button class="btn btn-primary tap" onclick={add}
					>{inOrder.length ? 'Another line, now' : 'First line, now'}</button
				>
			</div>
			<div aria-live="polite">
				{#if fit}
					<p class="text-2xl font-bold">
						<span class="figure">{fit.capacityAh.low95.toFixed(0)} … {fit.capacityAh.high95.toFixed(0)} Ah</span>
					</p>
					<p>
						Likeliest {fit.capacityAh.likely.toFixed(1)} Ah; ends between <strong>{at(fit.finishS.low95)}</strong> and
						<strong>{at(fit.finishS.high95)}</strong>.
					</p>
					{#if !fit.fits}<p class="ember-text">
							No discharge of such a cell fits all these lines: check them, and the load. Until then the range is wide.
						</p>{/if}
					<p>
						Look again <strong>{at(fit.lookAgainS)}</strong> ({formatDuration(fit.lookAgainS)} after it began): by then 5
						% may be left.
					</p>
					{#if night}<p class="ember-text font-semibold">
							It may end while you sleep. {night.pauseMs <= Date.now() + 60_000
								? 'Take the load off now'
								: `Take the load off at ${formatDateTime(new Date(night.pauseMs).toISOString(), style)}`}, and put it on
							again at {formatDateTime(new Date(night.goOnMs).toISOString(), style)}, with a line each time.
						</p>{/if}
					{#if run?.lookAgainAt && Date.parse(run.lookAgainAt) > Date.now()}<p class="muted">
							It rings {formatDateTime(run.lookAgainAt, style)}, on whatever page is open here.
						</p>{/if}
					<p class="muted">95 %, by the usual curve of {bank.chemistry} and what is not known of this cell.</p>
				{:else if why}<p class="ember-text">{why}</p>
				{:else}<p class="muted">
						A line with volts and a time, or Ah, and what it is discharged with: then it is told.
					</p>{/if}
			</div>
			{#if fit && useful >= 2}<div class="flex flex-wrap items-center gap-4">
					<label class="tap flex items-center gap-2"
						><input
							type="checkbox"
							class="checkbox"
							checked={run?.startedFull ?? false}
							onchange={(e) => keep({ startedFull: e.currentTarget.checked ? true : null })}
						/> it was charged to its tail before</label
					>
					<button class="btn tap" onclick={() => void becomeRun()}>It has ended: keep it as a run</button>
				</div>{/if}
			<p class="muted">
				A load that glows or boils is never left alone; a discharge ends at its cut-off by itself, or by you.
			</p>
		</section>
	{:else}<p class="sheet p-6">Unpack a delivery first.</p>{/if}
</StagePage>

<style>
	.line {
		display: grid;
		grid-template-columns: 1fr 1fr 1fr auto;
		gap: 0.5rem;
		align-items: end;
	}
	.odd {
		border-left: 3px solid var(--ember);
		padding-left: 0.5rem;
	}
</style>
