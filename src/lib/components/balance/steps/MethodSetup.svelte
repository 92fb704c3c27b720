<script lang="ts">
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import { CHEMISTRIES, type Chemistry } from '$lib/core/foundation/chemistry';
	import { METHOD_KINDS, METHOD_NAMES, type MethodKind, type MethodSetup } from '$lib/core/picture';

	interface Props {
		method: MethodKind;
		/** Cells that may be taken in, in the order of the tray. */
		cells: readonly { id: number; label: string; placed: boolean }[];
		refused: Record<string, string>;
		onbegin: (method: MethodKind, cellIds: number[], setup: MethodSetup) => Promise<void>;
	}
	let { method: asked, cells, refused, onbegin }: Props = $props();
	// svelte-ignore state_referenced_locally
	let method = $state<MethodKind>(asked);
	const start = $derived(cells.some((c) => c.placed) ? cells.filter((c) => c.placed) : cells);
	let picked = $state<number[] | null>(null);
	const order = $derived(picked ?? start.map((c) => c.id));
	const labels = $derived(new Map(cells.map((c) => [c.id, c.label])));
	const setup = $state({
		...{ currentA: null as number | null, cellSupplyA: null as number | null, balancerA: null as number | null },
		...{ stopV: null as number | null },
		...{ startV: null as number | null, triggerMv: null as number | null, hoursADay: null as number | null },
		...{ growthAhADay: null as number | null, leadMohm: null as number | null },
		...{ leastSeries: null as number | null, mostSeries: null as number | null, mostCellAh: null as number | null },
		...{ madeFor: '' as Chemistry | '' },
		...{ units: '', unitAh: null as number | null, unitCells: null as number | null }
	});
	const OPTIONS = METHOD_KINDS.map((value) => ({ value, text: METHOD_NAMES[value] }));
	const toggle = (id: number) => (picked = order.includes(id) ? order.filter((other) => other !== id) : [...order, id]);
	const thousandth = (value: number | null) => (value === null ? null : value / 1000);

	async function begin(event: SubmitEvent) {
		event.preventDefault();
		const { units, triggerMv, leadMohm, madeFor, ...rest } = setup;
		const names = units
			.split(/[,;\n]+/)
			.map((name) => name.trim())
			.filter(Boolean);
		await onbegin(method, method === 'ready-made' ? [] : [...order], {
			...rest,
			...{ triggerV: thousandth(triggerMv), leadOhm: thousandth(leadMohm), units: names.length ? names : null },
			madeFor: madeFor || null
		});
	}
</script>

<form class="sheet grid gap-4 p-4" onsubmit={begin} aria-label="A balance step by step">
	<Choice label="Which method?" bind:value={method} options={OPTIONS} />
	{#if method === 'balancer'}<Choice
			label="It is made for"
			bind:value={setup.madeFor}
			options={[{ value: '', text: 'not said' }, ...CHEMISTRIES.map((value) => ({ value, text: value }))]}
		/>{/if}
	{#if method === 'fast' || method === 'bottom'}
		<div>
			<p class="field-label">
				{method === 'bottom'
					? 'Taken down in this order; tap to leave one out, tap again to put it last'
					: 'Cells of the string'}
			</p>
			<div class="flex flex-wrap gap-2" role="group" aria-label="Cells">
				{#each cells as cell (cell.id)}
					<button
						type="button"
						class="btn tap"
						class:chosen={order.includes(cell.id)}
						aria-pressed={order.includes(cell.id)}
						onclick={() => toggle(cell.id)}
						>{cell.label}{#if method === 'bottom' && order.includes(cell.id)}<span class="figure muted"
								>{order.indexOf(cell.id) + 1}</span
							>{/if}</button
					>
				{/each}
			</div>
			{#if refused.cellIds}<p class="ember-text font-semibold" role="alert">{refused.cellIds}</p>{/if}
			<p class="muted">{order.map((id) => labels.get(id)).join(', ')}</p>
		</div>
	{/if}
	<div class="grid grid-cols-2 items-start gap-3 sm:grid-cols-4">
		{#if method === 'fast'}
			<Field label="Charger of the string" unit="A" type="number" min="0" bind:value={setup.currentA} />
			<Field
				label="Supply for side by side"
				unit="A"
				type="number"
				min="0"
				bind:value={setup.cellSupplyA}
				hint="20 when blank"
			/>
		{:else if method === 'bottom'}
			<Field label="Load for one cell" unit="A" type="number" min="0" bind:value={setup.currentA} />
		{:else if method === 'balancer'}
			<Field label="Balancing current, its limit" unit="A" type="number" min="0" bind:value={setup.balancerA} />
			<Field label="Hours a day near full" unit="h" type="number" min="0" max="24" bind:value={setup.hoursADay} />
			<Field label="Starts at" unit="V" type="number" bind:value={setup.startV} />
			<Field label="Cuts off below" unit="V" type="number" bind:value={setup.stopV} hint="as it starts when blank" />
			<Field label="Starts at a difference of" unit="mV" type="number" bind:value={setup.triggerMv} />
			<Field label="One of its leads" unit="mΩ" type="number" min="0" bind:value={setup.leadMohm} />
			<Field
				label="Drift"
				unit="Ah per day"
				type="number"
				min="0"
				bind:value={setup.growthAhADay}
				hint="blank: not known"
			/>
			<Field
				label="Largest cell it is made for"
				unit="Ah"
				type="number"
				min="0"
				bind:value={setup.mostCellAh}
				hint="by its maker"
			/>
			<Field label="Fewest cells in series" type="number" bind:value={setup.leastSeries} />
			<Field label="Most cells in series" type="number" bind:value={setup.mostSeries} />
		{:else}
			<div class="col-span-full">
				<Field
					label="The batteries, from the negative"
					bind:value={setup.units}
					placeholder="Left, Right"
					hint="names with commas between"
					error={refused['setup.units'] ?? refused.units}
				/>
			</div>
			<Field label="Each holds" unit="Ah" type="number" min="0" bind:value={setup.unitAh} />
			<Field label="Cells in series in each" type="number" min="1" bind:value={setup.unitCells} hint="4 when blank" />
		{/if}
	</div>
	<div><button class="btn btn-primary tap">Begin step by step</button></div>
</form>

<style>
	.chosen {
		box-shadow: inset 0 0 0 2px currentColor;
	}
</style>
