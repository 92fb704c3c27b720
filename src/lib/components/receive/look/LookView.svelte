<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import { inOwnStyle } from '$lib/client/settings/own-style';
	import type { Snippet } from 'svelte';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { settingApart } from '$lib/client/entry/set-apart';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import PlanNumber from '$lib/components/plan/PlanNumber.svelte';
	import Photos from '$lib/components/photos/Photos.svelte';
	import type { DrawnCell } from '$lib/components/tray/tray-cell';
	import {
		ALSO_FELT,
		INSPECTED,
		SLEEVE_KINDS,
		TERMINAL_KINDS,
		VENT_KINDS,
		type Answer,
		type Seen,
		type Inspection
	} from '$lib/core/picture';
	import { warmestOf } from '$lib/core/foundation/verdicts';
	import { cellsOf } from '$lib/core/foundation/verdicts';
	import LowTray from '../readings/LowTray.svelte';
	import SeenPoints from './SeenPoints.svelte';
	import { SEEN } from './seen-words';
	import { InspectionDesk, type StoredInspection } from './inspection-desk.svelte';
	import type { ReceiveData } from '../receive-data';

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
			(await api.post('inspections', { ...plain(values), clientKey: crypto.randomUUID() })) as StoredInspection,
		change: async (id, values) => (await api.patch(`inspections/${id}`, plain(values))) as StoredInspection,
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

	const KINDS = [
		{ key: 'terminalKind', label: 'Terminals', kinds: TERMINAL_KINDS },
		{ key: 'sleeveKind', label: 'Sleeve', kinds: SLEEVE_KINDS },
		{ key: 'ventKind', label: 'Vent', kinds: VENT_KINDS }
	] as const;
	const POINTS = ['foot', 'middle', 'top'];

	/** What was seen, in a word or two; null while nobody has looked. */
	function figureOf(seen: Inspection): string | null {
		const of = (answer: Answer) => [...INSPECTED, ...ALSO_FELT].filter((key) => seen[key] === answer);
		const open = INSPECTED.length - INSPECTED.filter((key) => seen[key] != null).length;
		if (open === INSPECTED.length) return null;
		if (of('bad').length)
			return of('bad')
				.map((key) => SEEN[key].bad)
				.join(', ');
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
	/** What stops this cell; still shown, with its record, once that is lifted or acknowledged. */
	const stop = $derived(
		cell ? data.verdicts.find((v) => v.code === 'inspection-stop' && cellsOf(v).includes(cell.id)) : null
	);
	let resolving = $state('');

	function answer(key: Seen, value: Answer) {
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
	async function turn({ id }: { id: number }, plusTurned: boolean) {
		await attempt(async () => {
			const { version } = await api.get(`cells/${id}`);
			await api.patch(`cells/${id}`, { version, plusTurned });
		});
		await lookAgain();
	}
	async function resolve() {
		if (!cell || !resolving.trim()) return;
		await desk.change(cell.id, { resolved: resolving.trim() });
		resolving = '';
	}
</script>

<StagePage
	title="Inspection"
	subtitle={tray
		? `Look at every cell before you connect any: ${seen} of ${tray.cells.length} done. ${tray.delivery.name}`
		: 'Look at every cell before you connect any. Nothing is unpacked yet.'}
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
		<section class="sheet mt-3 grid gap-2 p-3 sm:gap-3" aria-label="Look at {cell.label}">
			<div class="flex flex-wrap items-center justify-between gap-2">
				<h2 class="text-2xl">
					{cell.label}
					<span class="muted text-base font-normal" role="status">{desk.isUnkept(cell.id) ? 'not stored yet' : ''}</span
					>
				</h2>
				<div class="flex flex-wrap gap-2">
					<button class="btn btn-primary tap" onclick={() => void allGood()}
						>Mark unanswered points OK, next cell</button
					>
					<button class="btn tap" onclick={() => tray && void desk.allGood(tray.cells)}
						>Mark all remaining cells sound</button
					>
				</div>
			</div>
			{#if stop}
				<div class="stop" role="alert">
					<p class="font-bold">{inOwnStyle(stop.title)}</p>
					<p>{inOwnStyle(stop.finding)}</p>
					{#if stop.next}<p>{inOwnStyle(stop.next)}</p>{/if}
					<p class="muted">Answered by mistake, or only wet from outside? Change the answer below.</p>
					<label class="field-label" for="resolve">What was done with it</label>
					<div class="flex flex-wrap gap-2">
						<input
							id="resolve"
							class="input tap grow"
							maxlength="400"
							bind:value={resolving}
							placeholder="returned to the supplier, 4 Dec"
						/>
						<button class="btn tap" disabled={!resolving.trim()} onclick={() => void resolve()}
							>Record what was done</button
						>
					</div>
				</div>
			{/if}
			<SeenPoints inspection={own} onanswer={answer} />
			<PhoneFold title="Sizes and kinds" answer="thickness, terminals, plus" bare>
				<div class="grid grid-cols-3 gap-3">
					{#each POINTS as point, i (point)}
						<PlanNumber
							label="Thick at the {point}"
							quantity="length"
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
				<label class="max-w-80"
					><span class="field-label">Plus by the meter</span>
					<select
						class="select tap w-full"
						value={cell.plusTurned ? 'turned' : 'printed'}
						onchange={(e) => cell && void turn(cell, e.currentTarget.value === 'turned')}
					>
						<option value="printed">where it is printed</option>
						<option value="turned">on the other side</option>
					</select></label
				>
			</PhoneFold>
			<Photos subjectKind="cell" subjectId={cell.id} label={cell.label} />
			<p class="muted">
				Glasses and gloves. Quarantine a cell that leaks, smells or has swollen first, outdoors on concrete or tiles;
				write it down after.
			</p>
		</section>
	{:else}<p>Unpack a delivery first (Readings).</p>{/if}
</StagePage>

<style>
	.stop {
		border: 2px solid var(--ember-3, oklch(55% 0.2 33));
		border-radius: 0.75rem;
		padding: 0.75rem;
		display: grid;
		gap: 0.4rem;
	}
</style>
