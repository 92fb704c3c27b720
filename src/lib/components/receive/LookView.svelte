<script lang="ts">
	import type { Snippet } from 'svelte';
	import { lookAgain } from '$lib/client/look-again';
	import { attempt } from '$lib/client/announce';
	import { api } from '$lib/client/api';
	import { settingApart } from '$lib/client/set-apart';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import PlanNumber from '$lib/components/plan/PlanNumber.svelte';
	import Photos from '$lib/components/photos/Photos.svelte';
	import type { DrawnCell } from '$lib/components/tray/tray-cell';
	import {
		INSPECTED,
		SLEEVE_KINDS,
		TERMINAL_KINDS,
		VENT_KINDS,
		type Answer,
		type Inspected,
		type Inspection
	} from '$lib/core/inspection';
	import { warmestOf } from '$lib/core/shared';
	import { cellsOf } from '$lib/core/verdicts';
	import LowTray from './LowTray.svelte';
	import { InspectionDesk } from './inspection-desk.svelte';
	import type { ReceiveData } from './receive-data';

	let { data, views }: { data: ReceiveData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const cellType = $derived(data.overview.cellType);
	let index = $state(0);
	let selectedId = $state<number | null>(null);
	const tray = $derived(data.trays[Math.min(index, data.trays.length - 1)] ?? null);
	const plain = <T,>(values: T): T => JSON.parse(JSON.stringify(values)) as T;
	const desk = new InspectionDesk({
		attempt,
		create: async (values) =>
			(await api.post('inspections', { ...plain(values), clientKey: crypto.randomUUID() } as never)) as never,
		change: async (id, values) => (await api.patch(`inspections/${id}`, plain(values) as never)) as never,
		refresh: lookAgain
	});
	$effect(() => desk.take(data.trays.flatMap((t) => t.cells)));
	const cell = $derived(
		tray?.cells.find((c) => c.id === selectedId) ??
			tray?.cells.find((c) => INSPECTED.some((key) => desk.of(c)[key] == null)) ??
			tray?.cells[0] ??
			null
	);
	const own = $derived(cell ? desk.of(cell) : {});

	/** What each question asks of the eye, the hand or the nose, and what bad would be. */
	const QUESTIONS: Record<Inspected, { ask: string; bad: string }> = {
		leak: { ask: 'Dry all over?', bad: 'wet, crusted' },
		smell: { ask: 'No smell?', bad: 'sweet, sharp' },
		bulge: { ask: 'Flat sides?', bad: 'bulged' },
		vent: { ask: 'Vent flat and closed?', bad: 'open, pressed out' },
		dent: { ask: 'No dent?', bad: 'dented' },
		terminals: { ask: 'Terminals square and clean?', bad: 'crooked, dirty' },
		thread: { ask: 'Thread, or stud and its weld, sound?', bad: 'worn, loose' },
		sleeve: { ask: 'Sleeve whole?', bad: 'torn' }
	};
	const ANSWER_WORDS: Record<Answer, string> = { good: 'yes', unsure: 'not sure', bad: 'no' };
	const KINDS = [
		{ key: 'terminalKind', label: 'Terminals', kinds: TERMINAL_KINDS },
		{ key: 'sleeveKind', label: 'Sleeve', kinds: SLEEVE_KINDS },
		{ key: 'ventKind', label: 'Vent', kinds: VENT_KINDS }
	] as const;
	const POINTS = ['foot', 'middle', 'top'];

	/** What was seen, in a word or two; null while nobody has looked. */
	function figureOf(seen: Inspection): string | null {
		const of = (answer: Answer) => INSPECTED.filter((key) => seen[key] === answer);
		const open = INSPECTED.length - INSPECTED.filter((key) => seen[key] != null).length;
		if (open === INSPECTED.length) return null;
		if (of('bad').length) return of('bad').join(', ');
		if (of('unsure').length) return 'not sure';
		return open ? `${INSPECTED.length - open} of ${INSPECTED.length}` : 'sound';
	}
	const drawn = $derived.by((): DrawnCell[] =>
		(tray?.cells ?? []).map((c) => {
			const seen = desk.of(c);
			const verdicts = data.verdicts.filter((v) => v.code !== 'not-inspected' && cellsOf(v).includes(c.id));
			return {
				id: c.id,
				label: c.label,
				figure: figureOf(seen),
				minor: null,
				shade: null,
				warmth: warmestOf(verdicts.filter((v) => v.code.startsWith('inspection'))),
				turned: c.plusTurned,
				mark: null
			};
		})
	);
	const seen = $derived((tray?.cells ?? []).filter((c) => INSPECTED.every((key) => desk.of(c)[key] != null)).length);
	const stop = $derived(
		cell
			? data.verdicts.find((v) => v.code === 'inspection-stop' && v.warmth === 'stop' && cellsOf(v).includes(cell.id))
			: null
	);
	let resolving = $state('');

	function answer(key: Inspected, value: Answer) {
		if (!cell) return;
		// The next one comes when it is asked for, not when the last answer is given.
		selectedId = cell.id;
		void desk.change(cell.id, { [key]: own[key] === value ? null : value });
	}
	function next() {
		const cells = tray?.cells ?? [];
		const at = cells.findIndex((c) => c.id === cell?.id);
		const open = [...cells.slice(at + 1), ...cells.slice(0, at)].find((c) =>
			INSPECTED.some((key) => desk.of(c)[key] == null)
		);
		selectedId = open?.id ?? cells[at + 1]?.id ?? cell?.id ?? null;
	}
	async function allGood() {
		if (!cell) return;
		const done = desk.allGood([cell]);
		next();
		await done;
	}
	function thickness(point: number, mm: number | null) {
		if (!cell) return;
		const list = [...(own.thicknessMm ?? [null, null, null])];
		list[point] = mm;
		void desk.change(cell.id, { thicknessMm: list });
	}
	async function resolve() {
		if (!cell || !resolving.trim()) return;
		await desk.change(cell.id, { resolved: resolving.trim() });
		resolving = '';
	}
</script>

<StagePage
	title="Is each one sound?"
	subtitle={tray ? `${tray.delivery.name} · ${seen} of ${tray.cells.length} looked at` : 'nothing unpacked yet'}
	verdicts={data.verdicts}
	onpick={(id) => (selectedId = id)}
	onsetapart={settingApart(bank.id, 'receive')}
>
	{@render views()}
	{#if tray && cell}
		<LowTray
			trays={data.trays}
			bind:index
			cells={drawn}
			{cellType}
			selectedId={cell.id}
			onpick={(id) => (selectedId = id)}
			label="Cells of {tray.delivery.name}"
		/>
		<section class="sheet mt-3 grid gap-3 p-3" aria-label="Look at {cell.label}">
			<div class="flex flex-wrap items-center justify-between gap-2">
				<h2 class="text-2xl">
					{cell.label}
					<span class="muted text-base font-normal" role="status">{desk.isUnkept(cell.id) ? 'not stored yet' : ''}</span
					>
				</h2>
				<div class="flex flex-wrap gap-2">
					<button class="btn btn-primary tap" onclick={() => void allGood()}>All else is good, next cell</button>
					<button class="btn tap" onclick={() => tray && void desk.allGood(tray.cells)}>The rest are all good</button>
				</div>
			</div>
			{#if stop}
				<div class="stop" role="alert">
					<p class="font-bold">{stop.title}</p>
					<p>{stop.next}</p>
					<label class="field-label" for="resolve">What has become of it</label>
					<div class="flex flex-wrap gap-2">
						<input
							id="resolve"
							class="input tap grow"
							maxlength="400"
							bind:value={resolving}
							placeholder="wiped, and dry since a week"
						/>
						<button class="btn tap" disabled={!resolving.trim()} onclick={() => void resolve()}>It is resolved</button>
					</div>
				</div>
			{/if}
			<ul class="questions">
				{#each INSPECTED as key (key)}
					<li>
						<span id="ask-{key}">{QUESTIONS[key].ask}</span>
						<div class="answers" role="group" aria-labelledby="ask-{key}">
							{#each ['good', 'unsure', 'bad'] as const as value (value)}
								<button
									class="btn tap"
									class:chosen={own[key] === value}
									data-answer={value}
									aria-pressed={own[key] === value}
									title={value === 'bad' ? QUESTIONS[key].bad : undefined}
									onclick={() => answer(key, value)}>{ANSWER_WORDS[value]}</button
								>
							{/each}
						</div>
					</li>
				{/each}
			</ul>
			<div class="grid grid-cols-3 gap-3">
				{#each POINTS as point, i (point)}
					<PlanNumber
						label="Thick at the {point}"
						unit="mm"
						value={own.thicknessMm?.[i] ?? null}
						onkeep={(mm) => thickness(i, mm)}
					/>
				{/each}
			</div>
			<div class="grid grid-cols-3 gap-3">
				{#each KINDS as { key, label, kinds } (key)}
					<label
						><span class="field-label">{label}</span>
						<select
							class="select tap w-full"
							value={own[key] ?? ''}
							onchange={(e) => cell && void desk.change(cell.id, { [key]: e.currentTarget.value || null })}
						>
							<option value="">not said</option>
							{#each kinds as kind (kind)}<option value={kind}>{kind}</option>{/each}
						</select></label
					>
				{/each}
			</div>
			<Photos subjectKind="cell" subjectId={cell.id} label={cell.label} />
			<p class="muted">
				Glasses and gloves. A cell that leaks, smells or has swollen goes outdoors on stone first, and is written down
				after.
			</p>
		</section>
	{:else}<p>Unpack a delivery first (Readings).</p>{/if}
</StagePage>

<style>
	.questions {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(22rem, 1fr));
		gap: 0.4rem 1.5rem;
	}
	.questions li {
		display: flex;
		align-items: center;
		justify-content: space-between;
		gap: 0.75rem;
		border-top: 1px solid var(--line);
		padding-top: 0.4rem;
	}
	.answers {
		display: flex;
		gap: 0.25rem;
		flex: none;
	}
	.answers .btn {
		padding-inline: 0.8rem;
	}
	.chosen {
		background: var(--color-base-content);
		color: var(--color-base-100);
	}
	.chosen[data-answer='bad'] {
		background: var(--color-error, oklch(55% 0.2 33));
		color: white;
	}
	.stop {
		border: 2px solid var(--ember-3, oklch(55% 0.2 33));
		border-radius: 0.75rem;
		padding: 0.75rem;
		display: grid;
		gap: 0.4rem;
	}
	@media (max-width: 640px) {
		.questions {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
