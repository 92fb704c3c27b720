<script lang="ts">
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import type { BodyFor } from '$lib/client/api/api-shapes';
	import TopBar from '$lib/components/frame/TopBar.svelte';
	import UnpackForm from '$lib/components/receive/order/UnpackForm.svelte';
	import { group } from 'd3-array';
	import Tray from '$lib/components/tray/Tray.svelte';
	import type { DrawnCell } from '$lib/components/tray/tray-cell';
	import { shortMark } from '$lib/components/verdicts/short-mark';
	import { stockMark } from '$lib/components/stock/stock-mark';
	import { formatDate } from '$lib/core/foundation/units';

	let { data } = $props();
	const stock = $derived(data.stock);
	let picked = $state<number[]>([]);
	// svelte-ignore state_referenced_locally
	let bankId = $state(data.stock.banks[0]?.id ?? null);
	let unpacking = $state(false);
	let fields = $state<Record<string, string>>({});

	const deliveries = $derived([...group(stock.cells, (c) => c.deliveryId)]);
	const drawn = (cells: typeof stock.cells): DrawnCell[] =>
		cells.map((c) => ({
			id: c.id,
			label: c.label,
			figure: c.restVoltageV === null ? null : c.restVoltageV.toFixed(3),
			minor: c.capacityAh === null ? null : `${c.capacityAh.toFixed(1)} Ah`,
			shade: picked.includes(c.id) ? 0.9 : null,
			warmth: c.warning?.warmth ?? 'calm',
			mark: [picked.includes(c.id) ? 'picked' : stockMark(c), c.warning ? shortMark(c.warning) : null]
				.filter(Boolean)
				.join(' · ')
		}));
	function toggle(id: number) {
		picked = picked.includes(id) ? picked.filter((p) => p !== id) : [...picked, id];
	}
	/** Unpacked too many, or by mistake: out of the stock, with everything that was read; it comes back from where it is kept. */
	async function takeOut(kind: 'cells' | 'deliveries', ids: readonly number[]) {
		const done = await attempt(async () => {
			for (const id of ids) await api.remove(`${kind}/${id}`, (await api.get(`${kind}/${id}`)).version);
		});
		picked = [];
		if (done)
			announce(
				`${ids.length === 1 ? 'It is' : `${ids.length} are`} out of the stock; under “Taken out” on Home it can be brought back.`,
				() =>
					void attempt(async () => {
						for (const id of ids) await api.restore(`${kind}/${id}`);
						await lookAgain();
					})
			);
		await lookAgain();
	}
	async function pick() {
		const bank = stock.banks.find((b) => b.id === bankId);
		if (!bank || picked.length === 0) return;
		const cellIds = $state.snapshot(picked);
		if (!(await attempt(() => api.post(`banks/${bank.id}/candidates`, { cellIds })))) return;
		announce(`${cellIds.length} ${cellIds.length === 1 ? 'cell is' : 'cells are'} considered for ${bank.name}.`);
		picked = [];
		await lookAgain();
	}
	async function unpack(delivery: BodyFor<'post', 'deliveries'>) {
		fields = {};
		const done = await attempt(
			() => api.post('deliveries', delivery),
			(refused) => (fields = refused)
		);
		if (!done) return;
		unpacking = false;
		await lookAgain();
	}
	const pageHref = (page: number) =>
		`?${new URLSearchParams({ q: stock.filter.search, place: stock.filter.place, page: String(page) })}`;
	const PLACES = { all: 'all', loose: 'loose', placed: 'built in' } as const;
</script>

<svelte:head><title>Your stock · Kind Ember</title></svelte:head>
<TopBar />
<main class="mx-auto max-w-5xl p-4">
	<header class="mb-4 flex flex-wrap items-center justify-between gap-3">
		<div>
			<h1>Your stock</h1>
			<p class="muted">
				{stock.total === 0
					? 'No cells yet.'
					: `${stock.found === stock.total ? '' : `${stock.found} of `}${stock.total} cells, wherever they are`}
			</p>
		</div>
		<button class="btn tap {stock.total ? '' : 'btn-primary'}" onclick={() => (unpacking = !unpacking)}
			>Unpack a delivery</button
		>
	</header>
	{#if unpacking}
		<div class="mb-4"><UnpackForm suggestedCount={4} suggestedPrefix="S" {fields} orders={[]} onunpack={unpack} /></div>
	{/if}
	<form class="sheet mb-4 flex flex-wrap items-end gap-3 p-4" role="search" data-sveltekit-keepfocus>
		<label class="grid gap-1"
			>Label, batch, code, delivery or bank
			<input class="input tap" type="search" name="q" value={stock.filter.search} maxlength="60" /></label
		>
		<fieldset class="flex flex-wrap items-center gap-x-4">
			<legend class="sr-only">Where they are</legend>
			{#each Object.entries(PLACES) as [place, text] (place)}<label class="tap flex items-center gap-2"
					><input class="radio" type="radio" name="place" value={place} checked={stock.filter.place === place} />
					{text}</label
				>{/each}
		</fieldset>
		<button class="btn tap">Show</button>
	</form>
	{#if stock.cells.length === 0}
		<p class="sheet p-6">
			{stock.total === 0
				? 'Cells that come with a delivery are kept here, whether they are built into a bank or not.'
				: 'Nothing like that in the stock.'}
		</p>
	{/if}
	{#each deliveries as [id, cells] (id)}
		{@const { deliveryName: name, receivedOn } = cells[0]!}
		<section class="mb-4" aria-label={name}>
			<div class="mb-1 flex flex-wrap items-center justify-between gap-2">
				<h2>{name} <span class="font-normal muted">{formatDate(receivedOn, data.settings.dateStyle)}</span></h2>
				<button
					class="btn btn-ghost tap"
					aria-label="Take out the delivery {name}"
					onclick={() => takeOut('deliveries', [id])}>Take it out</button
				>
			</div>
			<Tray cells={drawn(cells)} onpick={toggle} label="Cells of {name}" />
		</section>
	{/each}
	{#if stock.cells.length}
		<p class="text-sm muted">
			{#if stock.beingJudged}{stock.beingJudged === 1 ? 'One bank is' : `${stock.beingJudged} banks are`} being judged again:
				what is marked there was said before.{/if}
			Volts as read last, ampere-hours as measured last. Tap cells to pick them; a cell’s own page tells its whole life.
		</p>
	{/if}
	{#if picked.length}
		<div class="sheet picked mt-4 flex flex-wrap items-end gap-3 p-4" role="region" aria-label="Picked cells">
			<p class="self-center"><strong class="figure">{picked.length}</strong> picked</p>
			<label class="grid gap-1"
				>For the bank
				<select class="select tap" bind:value={bankId}>
					{#each stock.banks as bank (bank.id)}<option value={bank.id}>{bank.name}</option>{/each}
				</select></label
			>
			<button class="btn btn-primary tap" disabled={bankId === null} onclick={pick}>Consider them there</button>
			{#if picked.length === 1}<a class="btn tap" href="/cells/{picked[0]}">Passport</a>{/if}
			<button class="btn tap" onclick={() => takeOut('cells', picked)}
				>Take {picked.length === 1 ? 'it' : 'them'} out</button
			>
			<button class="btn btn-ghost tap" onclick={() => (picked = [])}>Pick none</button>
		</div>
	{/if}
	{#if stock.pages > 1}
		<nav class="mt-4 flex items-center gap-4" aria-label="Pages of the stock">
			{#if stock.page > 1}<a class="btn tap" href={pageHref(stock.page - 1)}>Before</a>{/if}
			<span>Page <span class="figure">{stock.page}</span> of <span class="figure">{stock.pages}</span></span>
			{#if stock.page < stock.pages}<a class="btn tap" href={pageHref(stock.page + 1)}>After</a>{/if}
		</nav>
	{/if}
</main>

<style>
	.picked {
		position: sticky;
		bottom: 0.5rem;
		z-index: 10;
	}
</style>
