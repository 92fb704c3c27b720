<script lang="ts">
	import { measure } from '$lib/client/settings/own-style';
	import { untrack, type Snippet } from 'svelte';
	import { page } from '$app/state';
	import { replaceState } from '$app/navigation';
	import { api } from '$lib/client/api/api';
	import { settingApart } from '$lib/client/entry/set-apart';
	import DateField from '$lib/components/forms/DateField.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import PlanNumber from '$lib/components/plan/PlanNumber.svelte';
	import { formatDateTime } from '$lib/core/foundation/units';
	import {
		QUEUE_KIND_NAMES,
		queueForm,
		queueOf,
		queueParams,
		soakHours,
		type QueueForm,
		type QueueId,
		type QueuePlan
	} from '$lib/core/test/queue';
	import ClaimDeadline from '../ClaimDeadline.svelte';
	import QueueChart from './QueueChart.svelte';
	import SampleSays from '../SampleSays.svelte';
	import type { TestData } from '../test-data';

	let { data, views }: { data: TestData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const style = $derived(data.settings.dateStyle);
	const waiting = $derived(data.capacities.filter((c) => c.capacityAh === null).map((c) => c.cell));
	const tested = $derived(
		data.capacities.flatMap((c) => (c.capacityAh === null ? [] : [{ ...c.cell, capacityAh: c.capacityAh }]))
	);
	const two = (n: number) => String(n).padStart(2, '0');
	const local = (d: Date) =>
		`${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}T${two(d.getHours())}:${two(d.getMinutes())}`;
	const known = untrack(() => data.instruments.filter((i) => i.kind === 'load').length);
	let form = $state<QueueForm>(
		untrack(() =>
			queueForm(page.url.searchParams, { testers: known, nowLocal: local(new Date()), testA: data.testerA })
		)
	);
	/** How much colder the cells are than the warm box; only to reckon the soak with. */
	let coldK = $state<number | null>(null);
	/** Of one cell: by its sheet, else of such a cell. */
	const massKg = $derived(data.overview.cellType?.massKg ?? 0.02 * (data.overview.cellType?.ratedAh ?? 100));
	let plan = $state<QueuePlan | null>(null);
	let why = $state<string | null>(null);
	let busy = $state(false);
	const labels = $derived(new Map([...waiting, ...tested].map((c) => [c.id, c.label])));
	const labelOf = (id: QueueId) => labels.get(Number(id)) ?? String(id);
	const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
	/** This device's own offset at that moment, `+01:00`. */
	function offsetAt(text: string): string {
		const minutes = -new Date(text).getTimezoneOffset();
		const size = Math.abs(minutes);
		return `${minutes < 0 ? '-' : '+'}${two(Math.floor(size / 60))}:${two(size % 60)}`;
	}
	let turn = 0;
	$effect(() => {
		const own = JSON.parse(JSON.stringify(form)) as QueueForm;
		const mine = ++turn;
		if (waiting.length + own.back.length === 0) return;
		busy = true;
		const body = queueOf(own, {
			waiting,
			claims: data.waitingForTest,
			tested: tested.map(({ id, capacityAh }) => ({ id, capacityAh })),
			ratedAh: data.overview.cellType?.ratedAh ?? null,
			...{ wakeFromH: data.settings.wakeFromH, wakeUntilH: data.settings.wakeUntilH },
			offset: offsetAt(own.startAt),
			timeZone
		});
		void (api.post('test-queue', body) as Promise<unknown>)
			.then((found) => {
				if (mine !== turn) return;
				plan = found as QueuePlan;
				why = null;
			})
			.catch((error: unknown) => {
				if (mine === turn) [plan, why] = [null, error instanceof Error ? error.message : 'No timetable could be made.'];
			})
			.finally(() => mine === turn && (busy = false));
		// What it opened with stands in the address already; the router is not there yet.
		if (mine > 1) replaceState(`?${queueParams(own)}`, {});
	});
	const days = $derived(
		plan ? (Date.parse(plan.endsAt) - Math.min(...plan.steps.map((s) => Date.parse(s.from)))) / 86_400_000 : 0
	);
	const next = $derived((plan?.steps ?? []).filter((s) => s.needsPerson).slice(0, 6));
	const list = (text: string) =>
		text
			.split(/[;, ]+/)
			.map(Number)
			.filter((a) => Number.isFinite(a) && a > 0);
	let testers = $state(untrack(() => form.testers.join(', ')));
	let supplies = $state(untrack(() => form.supplies.join(', ')));
	const take = (key: 'testers' | 'supplies', text: string) => {
		const amps = list(text);
		if (amps.length) form[key] = amps;
	};
</script>

<StagePage
	title="When is each one tested?"
	subtitle={waiting.length ? `${waiting.length} cells wait` : 'every cell has a capacity'}
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'test')}
>
	{@render views()}
	{#if waiting.length || form.back.length}
		<section class="sheet mb-3 grid gap-3 p-4" aria-label="With what">
			<div class="grid grid-cols-2 items-end gap-3 sm:grid-cols-3">
				<label
					><span class="field-label">Testers <span class="muted font-normal">(A each)</span></span>
					<input
						class="input tap figure w-full"
						bind:value={testers}
						onchange={() => take('testers', testers)}
					/></label
				>
				<label
					><span class="field-label">Supplies <span class="muted font-normal">(A each)</span></span>
					<input
						class="input tap figure w-full"
						bind:value={supplies}
						onchange={() => take('supplies', supplies)}
					/></label
				>
				<div>
					<label class="field-label" for="queue-start">Begins</label>
					<DateField
						id="queue-start"
						withTime
						bind:value={() => form.startAt, (v) => v && (form.startAt = String(v))}
					/>
				</div>
				<PlanNumber
					label="In the warm box first"
					unit="h"
					value={form.soakH}
					onkeep={(h) => (form.soakH = Math.max(0, h ?? 0))}
				/>
				<PlanNumber
					label="Colder than the box by"
					unit="K"
					value={coldK}
					hint={coldK
						? `about ${soakHours(massKg, coldK).toFixed(1)} h for ${measure(massKg, 'mass', 1)}`
						: 'gives the hours of soak'}
					onkeep={(k) => {
						coldK = k === null ? null : Math.max(0, k);
						if (coldK !== null) form.soakH = Math.ceil(2 * soakHours(massKg, coldK)) / 2;
					}}
				/>
				<PlanNumber
					label="Rest after the charge"
					unit="h"
					value={form.restH}
					onkeep={(h) => (form.restH = Math.max(0, h ?? 0))}
				/>
				<label class="tap flex items-center gap-2"
					><input type="checkbox" class="checkbox" bind:checked={form.unattended} /> the load may run with nobody there</label
				>
			</div>
			<details>
				<summary class="tap cursor-pointer">It went otherwise</summary>
				<p class="muted">
					What is stored as a run is out of the queue already. Mark what has been charged full and waits for a tester,
					and plan the rest anew.
				</p>
				<div class="my-2 flex flex-wrap gap-2" role="group" aria-label="Charged full already">
					{#each waiting as cell (cell.id)}
						<button
							class="btn tap"
							aria-pressed={form.full.includes(cell.id)}
							onclick={() =>
								(form.full = form.full.includes(cell.id)
									? form.full.filter((id) => id !== cell.id)
									: [...form.full, cell.id])}>{cell.label}{form.full.includes(cell.id) ? ' is full' : ''}</button
						>
					{/each}
				</div>
				{#if tested.length}
					<p class="muted">Which tested ones stand empty still, and wait to be put back to half?</p>
					<div class="my-2 flex flex-wrap gap-2" role="group" aria-label="Tested, standing empty">
						{#each tested as cell (cell.id)}
							<button
								class="btn tap"
								aria-pressed={form.back.includes(cell.id)}
								onclick={() =>
									(form.back = form.back.includes(cell.id)
										? form.back.filter((id) => id !== cell.id)
										: [...form.back, cell.id])}>{cell.label}{form.back.includes(cell.id) ? ' stands empty' : ''}</button
							>
						{/each}
					</div>
				{/if}
				<button class="btn btn-primary tap" onclick={() => (form.startAt = local(new Date()))}
					>Plan anew from now</button
				>
			</details>
		</section>
		{#if why}<p class="ember-text" role="alert">{why}</p>{/if}
		{#if plan}
			<section class="sheet grid gap-3 p-4" aria-label="Timetable" aria-busy={busy}>
				<p class="text-xl font-bold">
					Done {formatDateTime(plan.endsAt, style)}: {days.toFixed(1)} days
				</p>
				<p class="muted">
					{Date.parse(plan.boundEndsAt) >= Date.parse(plan.endsAt) - 60_000
						? 'No plan with these things ends earlier.'
						: `Best found; none can end before ${formatDateTime(plan.boundEndsAt, style)}.`}
				</p>
				<ClaimDeadline {plan} waiting={data.waitingForTest} {labelOf} {style} />
				<QueueChart {plan} {labelOf} settings={data.settings} />
				<p class="muted text-sm">
					Light: charge. Dark: discharge. Middle: back to half. Grey: night. Each begins while somebody is up.
				</p>
				<div class="grid gap-4 sm:grid-cols-2">
					<div>
						<h2>What wants you next</h2>
						<ol class="grid gap-1">
							{#each next as s, i (i)}<li class="flex justify-between gap-3">
									<span><strong>{labelOf(s.cellId)}</strong> {QUEUE_KIND_NAMES[s.kind]} on {s.on}</span>
									<span class="figure">{formatDateTime(s.from, style)}</span>
								</li>{/each}
						</ol>
					</div>
					<div>
						<h2>What would shorten it</h2>
						{#if plan.buy.length}<ul class="grid gap-1">
								{#each plan.buy as b (b.what)}<li class="flex justify-between gap-3">
										<span>{b.what}</span><span class="figure">{b.savesH.toFixed(0)} h less</span>
									</li>{/each}
							</ul>{:else}<p>Nothing that is worth buying or borrowing.</p>{/if}
						<SampleSays capacities={data.capacities} />
					</div>
				</div>
				<a
					class="btn tap justify-self-start"
					href="/api/v1/banks/{bank.id}/test-queue.ics?{queueParams(form)}&offset={encodeURIComponent(
						offsetAt(form.startAt)
					)}&timeZone={encodeURIComponent(timeZone)}"
					download>Into a calendar</a
				>
			</section>
		{:else if busy}<p role="status">Making a timetable …</p>{/if}
	{:else}<p class="sheet p-6">Nothing waits for a tester.</p>{/if}
</StagePage>
