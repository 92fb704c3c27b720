<script lang="ts">
	import { bankLayout } from '$lib/core/plan/layouts';
	import { onMount, tick, type Snippet } from 'svelte';
	import type { ReceiveData } from '../receive-data';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import type { BodyFor } from '$lib/client/api/api-shapes';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import Choice from '$lib/components/forms/Choice.svelte';
	import MeterBar from '$lib/components/receive/readings/MeterBar.svelte';
	import HowRead from '$lib/components/receive/readings/HowRead.svelte';
	import EntryBar from '$lib/components/receive/readings/EntryBar.svelte';
	import PastePreview from '$lib/components/receive/readings/PastePreview.svelte';
	import ShortcutHelp from '$lib/components/receive/readings/ShortcutHelp.svelte';
	import UnpackForm from '$lib/components/receive/order/UnpackForm.svelte';
	import { browserDraft } from './entry-draft';
	import { tabMemory } from './entry-memory';
	import { trayShortcuts } from './tray-shortcuts';
	import { TrayEntry } from '$lib/components/receive/readings/entry.svelte';
	import Tray from '$lib/components/tray/Tray.svelte';
	import { USUAL_FOOTPRINT, shadeRange, shadesOf, type DrawnCell } from '$lib/components/tray/tray-cell';
	import {
		QUANTITY_FIGURES,
		benchMeters,
		meterSd,
		shownUnit,
		shownValue,
		type Quantity
	} from '$lib/core/foundation/reading';
	import { warmestOf } from '$lib/core/foundation/verdicts';
	import { cellsOf } from '$lib/core/foundation/verdicts';
	import { settingApart } from '$lib/client/entry/set-apart';
	import { inOwnStyle } from '$lib/client/settings/own-style';
	import { shortMark } from '$lib/components/verdicts/short-mark';
	import { formatDate, formatNumber } from '$lib/core/foundation/units';

	let { data, views }: { data: ReceiveData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const cellType = $derived(data.overview.cellType);
	let deliveryIndex = $state(0);
	let unpacking = $state(false);
	let fields = $state<Record<string, string>>({});
	const tray = $derived(data.trays[Math.min(deliveryIndex, data.trays.length - 1)] ?? null);
	/** What the whole stage says, of every delivery; the tray marks its own. */
	const verdicts = $derived(data.verdicts);

	const hooks = {
		cells: () => tray?.cells ?? [],
		everyCell: () => data.trays.flatMap((t) => t.cells),
		chemistry: () => bank.chemistry,
		units: () => data.settings.units,
		expected: () => ({
			acResistanceMohm: cellType?.acResistanceMohm ?? null,
			massKg: cellType?.massKg ?? null,
			thicknessMm: cellType?.thicknessMm
		}),
		onStored: () => void lookAgain(),
		remove: (id: number, version: number) => attempt(() => api.remove(`readings/${id}`, version)).then(() => undefined),
		onRefused: (message: string) => announce(message)
	};
	// svelte-ignore state_referenced_locally
	const entry = new TrayEntry(hooks, browserDraft, tabMemory(bank.id));
	let bar = $state<EntryBar | null>(null);
	let help = $state<ShortcutHelp | null>(null);

	/** The field takes the focus once a cell is waiting for it. */
	async function begin() {
		entry.start();
		await tick();
		bar?.focus();
	}
	onMount(() => {
		void begin();
		return trayShortcuts({
			undo: () => void entry.undo(),
			switchQuantity: () => {
				entry.switchQuantity(entry.quantity === 'restVoltage' ? 'acResistance' : 'restVoltage');
				bar?.focus();
			},
			help: () => help?.toggle()
		});
	});
	const shown = (value: number) =>
		formatNumber(shownValue(value, entry.quantity, data.settings.units), QUANTITY_FIGURES[entry.quantity].decimals);
	const other = $derived<Quantity>(entry.quantity === 'restVoltage' ? 'acResistance' : 'restVoltage');
	const mattersSpan = $derived.by(() => {
		const { floor } = QUANTITY_FIGURES[entry.quantity];
		return floor.relative ? floor.amount * Math.abs(known[0] ?? 1) : floor.amount;
	});
	/** Said of the whole crate, not of the cells it names. */
	const OF_THE_CRATE = new Set(['not-read', 'not-inspected', 'used-cells', 'arrival-cumulative', 'modules-whole']);
	const ofCell = $derived.by(() => {
		const byCell = new Map<number, typeof verdicts>();
		for (const v of verdicts)
			if (!OF_THE_CRATE.has(v.code)) for (const id of cellsOf(v)) byCell.set(id, [...(byCell.get(id) ?? []), v]);
		return byCell;
	});
	const drawn = $derived.by((): DrawnCell[] => {
		if (!tray) return [];
		const values = tray.cells.map((c) => entry.valueOf(c, entry.quantity));
		const shades = shadesOf(values, mattersSpan);
		return tray.cells.map((cell, i) => {
			const own = ofCell.get(cell.id) ?? [];
			const minor = entry.valueOf(cell, other);
			return {
				id: cell.id,
				label: cell.label,
				figure: values[i] == null ? null : shown(values[i]),
				minor: minor === null ? null : `${formatNumber(minor, 3)} ${QUANTITY_FIGURES[other].unit}`,
				shade: shades[i] ?? null,
				warmth: warmestOf(own),
				turned: cell.plusTurned,
				mark: own[0] ? inOwnStyle(shortMark(own[0])) : null
			};
		});
	});
	const known = $derived(
		tray ? tray.cells.map((c) => entry.valueOf(c, entry.quantity)).filter((v): v is number => v !== null) : []
	);

	const range = $derived(shadeRange(known, mattersSpan));

	async function unpack(delivery: BodyFor<'post', 'deliveries'>) {
		fields = {};
		const done = await attempt(
			() => api.post('deliveries', { ...delivery, bankId: bank.id }),
			(refused) => (fields = refused)
		);
		if (!done) return;
		unpacking = false;
		await lookAgain();
		deliveryIndex = data.trays.length - 1;
		await begin();
	}
	const selectedCell = $derived(tray?.cells.find((c) => c.id === entry.selectedId) ?? null);
	const readsNegative = $derived((selectedCell?.readings.restVoltage?.value ?? 0) < 0);
	/** By the meter, and not by the print. */
	async function recordPlus(plusTurned: boolean) {
		const cell = selectedCell;
		if (!cell) return;
		const done = await attempt(async () => {
			const { version } = await api.get(`cells/${cell.id}`);
			await api.patch(`cells/${cell.id}`, { plusTurned, version });
		});
		if (!done) return;
		announce(plusTurned ? `${cell.label} is drawn turned from now on.` : `${cell.label} is drawn as printed.`);
		await lookAgain();
	}
	function pick(id: number) {
		entry.pick(id);
		bar?.focus();
	}
</script>

<StagePage
	title={tray ? tray.delivery.name : 'Receive'}
	subtitle={tray
		? `${formatDate(tray.delivery.receivedOn, data.settings.dateStyle)} · ${tray.cells.length} cells · ${known.length} read · ${tray.cells.length - known.length} to go`
		: 'nothing unpacked yet'}
	{verdicts}
	onpick={pick}
	onsetapart={settingApart(bank.id, 'receive')}
>
	{#snippet tools()}
		<div class="flex flex-wrap items-center gap-2">
			{#if tray}<Choice
					quiet
					label="Measure"
					value={entry.quantity}
					options={[
						{ value: 'restVoltage', text: 'Volts' },
						{ value: 'acResistance', text: 'Milliohms' },
						{ value: 'temperature', text: shownUnit('temperature', data.settings.units) },
						{ value: 'mass', text: 'Mass' },
						{ value: 'thickness', text: shownUnit('thickness', data.settings.units) }
					]}
					onchange={(q) => {
						entry.switchQuantity(q as Quantity);
						bar?.focus();
					}}
				/>{/if}
			<ShortcutHelp
				bind:this={help}
				shortcuts={[
					['Enter', 'keep the reading, next cell'],
					['R', 'switch volts and milliohms'],
					['Ctrl Z', 'take the last reading back'],
					['Ctrl V', 'paste a column down the tray'],
					['?', 'these keys']
				]}
			/>
		</div>
	{/snippet}
	{@render views()}
	{#if tray}
		{#if data.trays.length > 1}
			<div class="mb-3">
				<Choice
					label="Delivery"
					value={String(deliveryIndex)}
					options={data.trays.map((t, i) => ({ value: String(i), text: t.delivery.name }))}
					onchange={(i) => (deliveryIndex = Number(i))}
				/>
			</div>
		{/if}
		<div class="phone-order">
			<Tray
				cells={drawn}
				footprint={{
					widthMm: cellType?.widthMm ?? USUAL_FOOTPRINT.widthMm,
					thicknessMm: cellType?.thicknessMm ?? USUAL_FOOTPRINT.thicknessMm
				}}
				selectedId={entry.selectedId}
				onpick={pick}
				label="Cells of {tray.delivery.name}"
			/>
			<div class="bar">
				<EntryBar
					bind:this={bar}
					{entry}
					units={data.settings.units}
					meterNote={`± ${formatNumber(meterSd(benchMeters(data.settings)[entry.quantity], known[0] ?? 0), QUANTITY_FIGURES[entry.quantity].decimals)}`}
				/>
			</div>
		</div>
		{#if entry.pasted}<PastePreview {entry} units={data.settings.units} ondone={() => bar?.focus()} />{/if}
		{#if entry.quantity === 'restVoltage' || entry.quantity === 'acResistance'}
			<HowRead bind:how={entry.how} resistance={entry.quantity === 'acResistance'} />
			<MeterBar
				bankId={bank.id}
				rehearsal={bank.rehearsal}
				instruments={data.instruments}
				cells={tray.cells}
				selected={entry.selected}
				quantity={entry.quantity}
				onread={(id) => entry.pick(tray.cells[tray.cells.findIndex((c) => c.id === id) + 1]?.id ?? id)}
			/>
		{/if}
		<p class="mt-3 flex flex-wrap items-center gap-x-5 gap-y-1 text-[0.95rem] muted">
			{#if known.length > 1}<span
					>Shade: {QUANTITY_FIGURES[entry.quantity].label} <span class="figure">{shown(range.low)}</span>
					<span class="scale" aria-hidden="true"></span>
					<span class="figure">{shown(range.high)} {shownUnit(entry.quantity, data.settings.units)}</span></span
				>{/if}
			<span>Glow: needs you</span><span
				>Read every cell before any are joined. Meter the polarity; do not trust the print.</span
			>
		</p>
		<p class="mt-2 flex flex-wrap gap-x-4">
			{#if entry.selected}<a
					class="tap inline-flex items-center underline underline-offset-4"
					href="/cells/{entry.selected.id}">Passport of {entry.selected.label}</a
				>{/if}
			{#if selectedCell && (selectedCell.plusTurned || readsNegative)}<button
					class="tap underline underline-offset-4 {selectedCell.plusTurned ? '' : 'font-bold'}"
					onclick={() => void recordPlus(!selectedCell.plusTurned)}
					>{selectedCell.plusTurned
						? `${selectedCell.label}: plus is where it is printed`
						: `Record: plus of ${selectedCell.label} is on the other side`}</button
				>{/if}
			<button class="tap underline underline-offset-4" onclick={() => (unpacking = !unpacking)}
				>Unpack another delivery</button
			>
		</p>
	{/if}
	{#if !tray || unpacking}
		<div class="mt-3">
			<UnpackForm
				suggestedCount={bankLayout(data.overview.batteries).cells || bank.series * bank.parallel}
				suggestedPrefix={bank.name.slice(0, 1).toUpperCase()}
				{fields}
				orders={data.orders}
				onunpack={unpack}
			/>
		</div>
	{/if}
</StagePage>

<style>
	.bar {
		position: sticky;
		bottom: 0.5rem;
		margin-top: 0.75rem;
		z-index: 10;
	}
	.scale {
		display: inline-block;
		width: 6rem;
		height: 0.8rem;
		vertical-align: middle;
		background: linear-gradient(
			to right,
			var(--measure-0),
			var(--measure-1),
			var(--measure-2),
			var(--measure-3),
			var(--measure-4)
		);
		border: 1px solid var(--line);
	}
	@media (max-width: 1023px) {
		.bar {
			bottom: 3.4rem;
		}
	}
</style>
