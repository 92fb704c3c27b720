<script lang="ts">
	import { enhance } from '$app/forms';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { formKept } from '$lib/client/entry/form-kept';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import Field from '$lib/components/forms/Field.svelte';
	import HoldTyped from '$lib/components/forms/HoldTyped.svelte';
	import { formatDate } from '$lib/core/foundation/units';
	import OrderFields from './OrderFields.svelte';
	import type { OpenOrder, ReceiveData } from '../receive-data';

	/** Orders that have not come yet: written down before anything is unpacked, with what the plan knows already. */
	interface Props {
		data: ReceiveData;
		faults: Record<string, string>;
	}
	let { data, faults }: Props = $props();
	const planned = $derived(data.plannedOrder);
	let writing = $state(false);

	async function remove({ id, version, name }: OpenOrder) {
		if (!(await attempt(() => api.remove(`orders/${id}`, version)))) return;
		announce(
			`${name} is removed.`,
			() =>
				void attempt(async () => {
					await api.restore(`orders/${id}`);
					await lookAgain();
				})
		);
		await lookAgain();
	}
</script>

{#snippet fields(held: Partial<OpenOrder> & { name: string })}
	<OrderFields {held} currency={data.currency} {faults}>
		<Field label="Order" name="name" value={held.name} error={faults.name} />
		<Field label="Cells" type="number" name="cellCount" value={held.cellCount ?? null} error={faults.cellCount} />
	</OrderFields>
{/snippet}

{#each data.orders as order (order.id)}
	<details class="sheet mb-4 p-4" open={data.trays.length === 0}>
		<summary class="tap flex cursor-pointer flex-wrap items-center gap-x-3"
			><span aria-hidden="true">›</span><strong>{order.name}</strong>
			<span class="muted"
				>{[
					order.cellCount ? `${order.cellCount} cells` : null,
					order.supplier,
					order.promisedOn
						? `promised for ${formatDate(order.promisedOn, data.settings.dateStyle)}`
						: 'under way, no day promised'
				]
					.filter(Boolean)
					.join(' · ')}</span
			></summary
		>
		<HoldTyped record={order}>
			{#snippet children(held)}
				<form class="mt-2 grid gap-4" method="POST" action="?/ordered" use:enhance={formKept()}>
					<input type="hidden" name="id" value={held.id} />
					<input type="hidden" name="version" value={held.version} />
					{@render fields(held)}
					<div class="flex flex-wrap gap-2">
						<button class="btn btn-primary tap">Save order</button>
						<a class="btn tap" href="/banks/{data.overview.bank.id}/receive/readings">Unpack it</a>
						<button type="button" class="btn btn-ghost tap" onclick={() => void remove(order)}>Remove order</button>
					</div>
				</form>
			{/snippet}
		</HoldTyped>
	</details>
{/each}
{#if writing || (data.orders.length === 0 && data.trays.length === 0)}
	<form
		class="sheet mb-4 grid gap-4 p-4"
		method="POST"
		action="?/ordered"
		aria-label="A new order"
		use:enhance={formKept({ onkept: () => (writing = false) })}
	>
		<h2>An order</h2>
		<p class="muted">
			Write it down when you order. What the plan knows is filled in; when the cells come, unpack them of this order.
		</p>
		{@render fields(planned)}
		<div><button class="btn btn-primary tap">Save order</button></div>
	</form>
{:else}
	<p class="mb-4">
		<button class="btn tap" onclick={() => (writing = true)}>Add an order that is under way</button>
	</p>
{/if}
