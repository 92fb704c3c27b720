<script lang="ts">
	import { localDay } from '$lib/core/foundation/units';
	import type { OpenOrder } from '../receive-data';
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';

	interface Props {
		suggestedCount: number;
		suggestedPrefix: string;
		fields: Record<string, string>;
		onunpack: (delivery: {
			name: string;
			receivedOn: string;
			supplier: string | null;
			cellCount: number;
			labelPrefix: string;
			batch: string | null;
			orderId: number | null;
			moduleSeries: number | null;
			moduleParallel: number | null;
		}) => void;
		/** Orders that have not come yet. */
		orders: readonly OpenOrder[];
	}
	let { suggestedCount, suggestedPrefix, fields, orders, onunpack }: Props = $props();
	// svelte-ignore state_referenced_locally
	let form = $state({
		orderId: orders.length === 1 ? orders[0]!.id : null,
		name: orders.length === 1 ? orders[0]!.name : 'First crate',
		receivedOn: localDay(new Date()),
		supplier: orders.length === 1 ? (orders[0]!.supplier ?? '') : '',
		cellCount: (orders.length === 1 ? orders[0]!.cellCount : null) ?? suggestedCount,
		labelPrefix: suggestedPrefix,
		batch: ''
	});

	/** What was written down with the order is not asked for again. */
	function came(order: OpenOrder | null) {
		form.orderId = order?.id ?? null;
		if (!order) return;
		form.name = order.name;
		form.supplier = order.supplier ?? '';
		form.cellCount = order.cellCount ?? suggestedCount;
	}

	/** As single cells, or in modules of several. */
	let as = $state<'cells' | 'modules'>('cells');
	let made = $state({ modules: 2 as number | null, series: 6 as number | null, parallel: 1 as number | null });
	const cellCount = $derived(
		as === 'cells' ? form.cellCount : (made.modules ?? 0) * (made.series ?? 0) * (made.parallel ?? 0)
	);

	/** So many more than the plan wants is a question, once. */
	const MANY = 3;
	let asked = $state(false);
	const tooMany = $derived(cellCount > MANY * suggestedCount);
	function submit(event: SubmitEvent) {
		event.preventDefault();
		if (tooMany && !asked) {
			asked = true;
			return;
		}
		onunpack({
			...{ ...form, cellCount, supplier: form.supplier || null, batch: form.batch || null },
			moduleSeries: as === 'modules' ? made.series : null,
			moduleParallel: as === 'modules' ? made.parallel : null
		});
	}
</script>

<form class="sheet grid gap-4 p-4" onsubmit={submit} novalidate>
	<h2>Unpack a delivery</h2>
	{#if orders.length}<label
			><span class="field-label">Came of the order</span>
			<select
				class="select tap w-full max-w-md"
				value={form.orderId === null ? '' : String(form.orderId)}
				onchange={(e) => came(orders.find((o) => String(o.id) === e.currentTarget.value) ?? null)}
			>
				<option value="">of none that is written down</option>
				{#each orders as o (o.id)}<option value={String(o.id)}>{o.name}</option>{/each}
			</select></label
		>{/if}
	<Choice
		label="It came as"
		bind:value={as}
		options={[
			{ value: 'cells', text: 'single cells' },
			{ value: 'modules', text: 'modules of several cells' }
		]}
	/>
	{#if as === 'modules'}<div class="grid grid-cols-3 gap-3">
			<Field label="Modules" type="number" bind:value={made.modules} error={fields.cellCount} min="1" />
			<Field
				label="Groups in series in each"
				type="number"
				bind:value={made.series}
				error={fields.moduleSeries}
				min="1"
			/>
			<Field
				label="Cells side by side in a group"
				type="number"
				bind:value={made.parallel}
				error={fields.moduleParallel}
				min="1"
			/>
		</div>{/if}
	<div class="grid gap-3 sm:grid-cols-3">
		<Field label="Delivery" bind:value={form.name} error={fields.name} />
		<Field label="Came on" type="date" bind:value={form.receivedOn} error={fields.receivedOn} />
		<Field label="Supplier" bind:value={form.supplier} />
		{#if as === 'cells'}<Field
				label="Number of cells"
				type="number"
				bind:value={form.cellCount}
				error={fields.cellCount}
				min="1"
			/>{/if}
		<Field
			label="Label prefix"
			bind:value={form.labelPrefix}
			error={fields.labelPrefix}
			hint={as === 'cells'
				? `${form.labelPrefix || 'H'}-01, ${form.labelPrefix || 'H'}-02 …`
				: `${form.labelPrefix || 'H'}1-01 … of the first module, ${form.labelPrefix || 'H'}2-01 … of the second`}
		/>
		<Field label="Batch" bind:value={form.batch} />
	</div>
	<p class="text-sm muted">
		Insulated tools, glasses, no rings or watch: every cell can give hundreds of amperes. Keep the terminals covered
		until you read them.
	</p>
	{#if asked && tooMany}<p class="ember-text font-semibold" role="alert">
			{cellCount} cells, and the plan wants {suggestedCount}? Correct the number, or lay all {cellCount} on the tray.
		</p>{/if}
	<div>
		<button class="btn btn-primary tap"
			>{asked && tooMany ? `Lay all ${cellCount} on the tray` : 'Lay them on the tray'}</button
		>
	</div>
</form>
