<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import type { Snippet } from 'svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import VerdictList from '$lib/components/verdicts/VerdictList.svelte';
	import { sendBeside } from '$lib/client/entry/send-beside';
	import { api } from '$lib/client/api/api';
	import { settingApart } from '$lib/client/entry/set-apart';
	import { attempt } from '$lib/client/entry/announce';
	import { USUAL_LINK_OHM, currentsJoined, type JoinAnswer, type LeftJoined } from '$lib/core/balance/joining';
	import type { Interval } from '$lib/core/foundation/statistics';
	import { formatDuration, parseNumber } from '$lib/core/foundation/units';
	import type { BalanceData } from './balance-data';

	let { data, views }: { data: BalanceData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);

	interface Row {
		id: string;
		volts: string;
		capacityAh: string;
		mohm: string;
	}
	const text = (value: number | null, digits: number) => (value === null ? '' : value.toFixed(digits));
	/** What the cells of the row were read at, to be changed freely; nothing of it is kept. */
	// svelte-ignore state_referenced_locally
	let rows = $state<Row[]>(
		data.balance.cells.length > 1
			? data.balance.cells.slice(0, 64).map((c) => ({
					...{ id: c.label, volts: text(c.restVoltageV, 3), capacityAh: text(c.capacityAh, 0) },
					mohm: text(c.resistanceMohm, 2)
				}))
			: ['One', 'Two'].map((id) => ({ id, volts: '', capacityAh: '100', mohm: '' }))
	);
	let linkMohm = $state<number | null>(USUAL_LINK_OHM * 1000);
	let ratingA = $state<number | null>(null);
	let cellsInSeries = $state<number | null>(1);
	let answer = $state<JoinAnswer | null>(null);
	let faults = $state<Record<string, string>>({});
	let busy = $state(false);

	const twoBatteries = () => {
		rows = ['Left', 'Right'].map((id) => ({ id, volts: '', capacityAh: '100', mohm: '' }));
		cellsInSeries = 4;
		answer = null;
	};
	/** What standing joined without a charge does, asked for by itself: it is worked out for a while. */
	let left = $state<LeftJoined[] | null>(null);
	let working = $state(false);
	async function askLeft() {
		working = true;
		const { linkRatingA: _, ...join } = asked();
		await attempt(async () => {
			({ after: left } = (await api.post('left-joined', { ...join, hours: [1, 6, 24, 72] })) as unknown as {
				after: LeftJoined[];
			});
		});
		working = false;
	}
	const span = (ah: Interval) => `${ah.low95.toFixed(1)} to ${ah.high95.toFixed(1)} Ah`;
	const add = () =>
		(rows = [
			...rows,
			{ id: `No. ${rows.length + 1}`, volts: '', capacityAh: rows.at(-1)?.capacityAh ?? '100', mohm: '' }
		]);

	/** Something forbids it: no order makes it right. */
	const refused = $derived(answer?.verdicts.some((v) => v.warmth !== 'calm') ?? false);
	/** Amperes through each in the first instant, and how the largest falls. */
	let told = $state<ReturnType<typeof currentsJoined> | null>(null);

	const asked = () => ({
		chemistry: bank.chemistry,
		items: rows.map((r) => ({
			...{ id: r.id, restVoltageV: parseNumber(r.volts) ?? NaN, capacityAh: parseNumber(r.capacityAh) ?? NaN },
			acResistanceMohm: parseNumber(r.mohm),
			cellsInSeries: cellsInSeries ?? 1
		})),
		...{ linkOhm: (linkMohm ?? 0) / 1000, linkRatingA: ratingA }
	});

	async function ask(event: SubmitEvent) {
		event.preventDefault();
		busy = true;
		let found: JoinAnswer | null = null;
		const input = asked();
		const refused = await sendBeside(async () => {
			found = (await api.post('join-check', input)) as unknown as JoinAnswer;
		});
		busy = false;
		faults = refused ?? {};
		answer = refused === null ? found : null;
		left = null;
		told = answer && currentsJoined(input);
	}
	/** On a phone: what is seldom changed is shown when it is asked for. */
	let more = $state(false);
</script>

<StagePage
	title="Safe to join?"
	subtitle="cells or whole batteries, side by side: what flows, and in which order"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'balance')}
>
	{@render views()}
	<form class="sheet grid gap-2 p-3 sm:gap-3 sm:p-4" onsubmit={ask} aria-label="What is to be joined">
		<div class="flex flex-wrap gap-2">
			<button type="button" class="btn tap" onclick={add}>Another one</button>
			<button type="button" class="btn btn-ghost tap phone" aria-expanded={more} onclick={() => (more = !more)}
				>{more ? 'Only volts' : 'Capacity and resistance too'}</button
			>
			<button type="button" class="btn tap" onclick={twoBatteries}>Two batteries of 12 V instead</button>
		</div>
		<ol class="grid gap-1 sm:gap-2">
			{#each rows as row, i (i)}
				<li class="row">
					<label
						><span class="field-label" class:sr-only={i > 0}>What</span><input
							class="input tap w-full"
							maxlength="40"
							bind:value={row.id}
						/></label
					>
					<label
						><span class="field-label" class:sr-only={i > 0}>At rest <span class="muted font-normal">V</span></span
						><input class="input tap figure w-full" inputmode="decimal" bind:value={row.volts} /></label
					>
					<label class="more" class:shown={more}
						><span class="field-label" class:sr-only={i > 0}>Holds <span class="muted font-normal">Ah</span></span
						><input class="input tap figure w-full" inputmode="decimal" bind:value={row.capacityAh} /></label
					>
					<label class="more" class:shown={more}
						><span class="field-label" class:sr-only={i > 0}
							>AC resistance <span class="muted font-normal">mΩ</span></span
						><input
							class="input tap figure w-full"
							inputmode="decimal"
							placeholder="usual"
							bind:value={row.mohm}
						/></label
					>
					<button
						type="button"
						class="btn btn-ghost tap"
						aria-label="Leave {row.id} out"
						onclick={() => (rows = rows.filter((_, k) => k !== i))}>×</button
					>
					{#each ['id', 'restVoltageV', 'capacityAh', 'acResistanceMohm'] as field (field)}
						{#if faults[`items.${i}.${field}`]}<p class="ember-text col-span-full">
								{faults[`items.${i}.${field}`]}
							</p>{/if}
					{/each}
				</li>
			{/each}
		</ol>
		<PhoneFold title="The links" answer={linkMohm === null ? null : `${linkMohm} mΩ each`} bare>
			<div class="grid grid-cols-2 items-end gap-3 sm:grid-cols-3">
				<Field
					label="Each link with its joints"
					unit="mΩ"
					type="number"
					min="0"
					bind:value={linkMohm}
					error={faults.linkOhm}
				/>
				<Field
					label="A link carries"
					unit="A"
					type="number"
					min="0"
					bind:value={ratingA}
					hint="blank: not asked"
					error={faults.linkRatingA}
				/>
				<Field label="Cells in series in each" type="number" min="1" bind:value={cellsInSeries} />
			</div>
		</PhoneFold>
		<div><button class="btn btn-primary tap" disabled={busy || rows.length < 2}>Check connection</button></div>
		{#if faults.items}<p class="ember-text font-semibold" role="alert">{faults.items}</p>{/if}
		<p class="muted">Red probe on the printed plus: a minus sign says that it stands the other way round.</p>
	</form>
	{#if answer}
		<section class="mt-4 grid gap-4" aria-label="Answer">
			<VerdictList verdicts={answer.verdicts} />
			<div class="sheet grid gap-2 p-4">
				{#if answer.peakA}<p class="text-2xl font-bold">
						<span class="figure">{answer.peakA.low95.toFixed(0)} to {answer.peakA.high95.toFixed(0)} A</span>
					</p>
					<p>
						Highest current in one item when you fit the last link. Through one item at most <strong class="figure"
							>{answer.movedAhInDay.toFixed(1)} Ah</strong
						> flow in a day.
					</p>
					{#if !refused}<p>
							Connect in this order: <strong>{answer.order.join(', ')}</strong>, those that are most alike first.
						</p>{/if}
					{#if told}
						<ul class="bars" aria-label="First amperes through each">
							{#each rows as row, i (i)}
								{@const share = Math.abs(told.firstA[i] ?? 0) / Math.max(1e-9, ...told.firstA.map(Math.abs))}
								<li>
									<span>{row.id}</span>
									<span class="bar" style:width="{Math.max(1, 60 * share)}%"></span>
									<span class="figure"
										>{Math.abs(told.firstA[i] ?? 0).toFixed(0)} A {(told.firstA[i] ?? 0) >= 0 ? 'out' : 'in'}</span
									>
								</li>
							{/each}
						</ul>
						{#if told.falls.length}<p>
								Largest after {#each told.falls as f, i (f.atS)}{i ? ', ' : ''}{formatDuration(f.atS)}:
									<strong class="figure">{f.largestA < 1 ? f.largestA.toFixed(2) : f.largestA.toFixed(0)} A</strong
									>{/each}.
							</p>{/if}
					{/if}
					{#if !refused}
						<div class="mt-2 grid gap-2">
							<h2>Left joined, without a charge</h2>
							{#if left}
								<table class="table">
									<thead><tr><th>after</th><th>moved</th><th>still apart</th></tr></thead>
									<tbody>
										{#each left as l (l.hours)}<tr
												><td>{l.hours < 48 ? `${l.hours} h` : `${l.hours / 24} days`}</td><td class="figure"
													>{span(l.movedAh)}</td
												><td class="figure">{span(l.leftAh)}</td></tr
											>{/each}
									</tbody>
								</table>
								<p>
									They were {span(left[0]!.apartAh)} apart when they were joined. On the plateau a few millivolts drive what
									is many ampere-hours apart: only a charge to the top makes them equal.
								</p>
							{:else}<div>
									<button class="btn tap" disabled={working} onclick={() => void askLeft()}
										>{working ? 'Working it out …' : 'What if I leave them joined for a day?'}</button
									>
								</div>{/if}
						</div>
					{/if}
				{:else}<p>
						No current is told from a voltage that such an item cannot have. Read it again, and check the decimal point.
					</p>{/if}
			</div>
		</section>
	{/if}
</StagePage>

<style>
	.row {
		display: grid;
		grid-template-columns: 1.2fr 1fr 1fr 1fr auto;
		gap: 0.5rem;
		align-items: end;
	}
	@media (max-width: 640px) {
		.row {
			grid-template-columns: 1fr 1fr auto;
		}
		.more:not(.shown) {
			display: none;
		}
	}
	@media (min-width: 641px) {
		.phone {
			display: none;
		}
	}
	.bars li {
		display: flex;
		align-items: center;
		gap: 0.6rem;
	}
	.bars span:first-child {
		width: 5rem;
	}
	.bar {
		height: 0.7rem;
		border-radius: 0.3rem;
		background: var(--color-base-content);
	}
</style>
