<script lang="ts">
	import { measure } from '$lib/client/settings/own-style';
	import Field from '$lib/components/forms/Field.svelte';
	import Choice from '$lib/components/forms/Choice.svelte';
	import BenchTray from './BenchTray.svelte';
	import type { SeenCell, Wiring } from './rehearsal-words';

	interface BenchShown {
		wiring: Wiring;
		plugged: boolean;
		clockMs: number;
		timeS: number;
		timeFactor: number;
		ambientC: number;
		supplyOn: boolean;
		loadOn: boolean;
		heldBack: { flow: 'charge' | 'discharge'; group: number; readV: number } | null;
	}
	interface Props {
		bench: BenchShown | null;
		cells: SeenCell[];
		leads: number;
		busy: boolean;
		onmove: (move: object) => void;
		/** Puts the probes somewhere and reads, V; null when refused. */
		onprobe: (place: object) => Promise<number | null>;
	}
	let { bench, cells, leads, busy, onmove, onprobe }: Props = $props();
	const WIRING = {
		loose: 'loose on the bench',
		parallel: 'joined in one row',
		series: 'built in series'
	};
	let exchange = $state(['1', '2']);
	let reseat = $state('1');
	let tighten = $state('1');
	let amps = $state<number | null>(20);
	let place = $state('supply');
	let read = $state<{ place: string; volts: number } | null>(null);

	const placeOf = (text: string) =>
		text.startsWith('cell')
			? { probeCellId: Number(text.slice(4)) }
			: text.startsWith('lead')
				? { probeLead: Number(text.slice(4)) }
				: { probe: text };
	const wordOf = (text: string) =>
		text.startsWith('cell')
			? (cells.find((c) => c.id === Number(text.slice(4)))?.label ?? '')
			: text.startsWith('lead')
				? `balance lead ${text.slice(4)} against battery minus`
				: text === 'supply'
					? 'the supply’s own terminals'
					: 'the whole row or battery';
	async function probe() {
		const volts = await onprobe(placeOf(place));
		read = volts === null ? null : { place: wordOf(place), volts };
	}
	function probeCell(id: number) {
		place = `cell${id}`;
		void probe();
	}
	const days = (seconds: number) =>
		`day ${Math.floor(seconds / 86400) + 1}, ${String(Math.floor((seconds % 86400) / 3600)).padStart(2, '0')}:${String(Math.floor((seconds % 3600) / 60)).padStart(2, '0')}`;
</script>

<section class="sheet grid gap-4 p-4" aria-label="Your hands">
	<div class="flex flex-wrap items-baseline justify-between gap-3">
		<h2>
			{bench
				? `The cells are ${WIRING[bench.wiring]}${bench.wiring === 'series' ? (bench.plugged ? ', the BMS is plugged in' : ', the plug is out') : ''}`
				: 'Another crate is on the bench'}
		</h2>
		{#if bench}<p class="muted">
				bench clock <span class="figure">{days(bench.timeS)}</span> · {measure(bench.ambientC, 'temperature', 0)}
			</p>{/if}
	</div>
	{#if bench}
		<BenchTray {cells} wiring={bench.wiring} onprobe={probeCell} />
		<p class="-mt-2 text-[0.95rem] muted">
			Last rest voltages. Touch a cell: the voltmeter’s probes go on it, plus as printed.
		</p>
	{/if}
	<div class="flex flex-wrap gap-2">
		<button class="btn tap" disabled={busy} onclick={() => onmove({ wire: 'parallel' })}>Join them in one row</button>
		<button class="btn tap" disabled={busy} onclick={() => onmove({ wire: 'series', plugged: false })}
			>Build in series, plug out</button
		>
		<button class="btn tap" disabled={busy} onclick={() => onmove({ wire: 'series', plugged: true })}
			>{bench?.wiring === 'series' ? 'Plug the BMS in' : 'Build in series with the BMS'}</button
		>
		<button class="btn tap" disabled={busy} onclick={() => onmove({ wire: 'loose' })}>Take everything apart</button>
	</div>
	{#if bench?.wiring === 'series' && !bench.plugged}
		<form
			class="flex flex-wrap items-end gap-3"
			onsubmit={(e) => {
				e.preventDefault();
				onmove({ exchangeLeads: exchange.map(Number) });
			}}
		>
			{#each ['Exchange lead', 'with lead'] as label, i (label)}
				<div>
					<label class="field-label" for="exchange-{i}">{label}</label>
					<select id="exchange-{i}" class="select tap" bind:value={exchange[i]}>
						{#each Array.from({ length: leads + 1 }, (_, k) => String(k)) as k (k)}<option value={k}>{k}</option>{/each}
					</select>
				</div>
			{/each}
			<button class="btn tap" disabled={busy || exchange[0] === exchange[1]}>in the plug</button>
			<div>
				<label class="field-label" for="reseat">Reseat lead</label>
				<select id="reseat" class="select tap" bind:value={reseat}>
					{#each Array.from({ length: leads + 1 }, (_, k) => String(k)) as k (k)}<option value={k}>{k}</option>{/each}
				</select>
			</div>
			<button type="button" class="btn tap" disabled={busy} onclick={() => onmove({ reseatLead: Number(reseat) })}
				>Put it firmly on its node</button
			>
		</form>
	{/if}
	{#if bench?.wiring === 'series'}
		<div class="flex flex-wrap items-end gap-3">
			<div>
				<label class="field-label" for="tighten">Bars of group</label>
				<select id="tighten" class="select tap" bind:value={tighten}>
					{#each Array.from({ length: leads }, (_, k) => String(k + 1)) as k (k)}<option value={k}>{k}</option>{/each}
				</select>
			</div>
			<button class="btn tap" disabled={busy} onclick={() => onmove({ tightenGroup: Number(tighten) })}
				>Tighten them</button
			>
			{#if bench.plugged}
				<div class="w-28"><Field label="With" unit="A" type="number" min="0" bind:value={amps} /></div>
				<button class="btn tap" disabled={busy || !amps} onclick={() => onmove({ chargeA: amps, loadA: 0 })}
					>Charge the battery</button
				>
				<button class="btn tap" disabled={busy || !amps} onclick={() => onmove({ loadA: amps, chargeA: 0 })}
					>Load the battery</button
				>
				{#if bench.supplyOn || bench.loadOn}<button
						class="btn tap"
						disabled={busy}
						onclick={() => onmove({ loadA: 0, chargeA: 0 })}>Switch both off</button
					>{/if}
			{/if}
		</div>
		{#if bench.heldBack}<p class="ember-text font-semibold" role="status">
				The BMS lets no {bench.heldBack.flow} through: it reads {bench.heldBack.readV.toFixed(2).replace('-', '−')} V at group
				{bench.heldBack.group}. Is it the cell, or its balance lead? Pull the plug and measure the leads.
			</p>{/if}
	{/if}
	<div class="flex flex-wrap items-end gap-x-6 gap-y-3">
		<Choice
			label="Pace of time"
			value={String(bench?.timeFactor ?? 1000)}
			options={[
				{ value: '1', text: '1×' },
				{ value: '100', text: '100×' },
				{ value: '1000', text: '1000×' },
				{ value: '10000', text: '10 000×' }
			]}
			onchange={(v) => onmove({ timeFactor: Number(v) })}
		/>
		<div>
			<span class="field-label">Let time pass, everything off</span>
			<div class="flex flex-wrap gap-2">
				{#each [['1 h', 3600], ['1 day', 86400], ['1 month', 2629800]] as const as [text, skipS] (text)}
					<button class="btn tap" disabled={busy} onclick={() => onmove({ skipS })}>{text}</button>
				{/each}
			</div>
		</div>
	</div>
	<form
		class="flex flex-wrap items-end gap-3"
		onsubmit={(e) => {
			e.preventDefault();
			void probe();
		}}
	>
		<div>
			<label class="field-label" for="probe-place">Voltmeter on</label>
			<select id="probe-place" class="select tap" bind:value={place}>
				<option value="supply">the supply’s own terminals</option>
				<option value="pack">the whole row or battery</option>
				{#each cells as c (c.id)}<option value="cell{c.id}">{c.label}</option>{/each}
				{#each Array.from({ length: leads }, (_, k) => k + 1) as k (k)}<option value="lead{k}">balance lead {k}</option
					>{/each}
			</select>
		</div>
		<button class="btn tap" disabled={busy}>Read it</button>
		{#if read}<p class="self-center" role="status">
				<span class="figure text-2xl font-semibold">{read.volts.toFixed(4)} V</span>
				<span class="muted">on {read.place}</span>
			</p>{/if}
	</form>
</section>
