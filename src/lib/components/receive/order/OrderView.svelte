<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import type { Snippet } from 'svelte';
	import { enhance } from '$app/forms';
	import { formKept } from '$lib/client/entry/form-kept';
	import { settingApart } from '$lib/client/entry/set-apart';
	import Field from '$lib/components/forms/Field.svelte';
	import HoldTyped from '$lib/components/forms/HoldTyped.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import Photos from '$lib/components/photos/Photos.svelte';
	import Clauses from './Clauses.svelte';
	import OrderFields from './OrderFields.svelte';
	import OrdersUnderWay from './OrdersUnderWay.svelte';
	import DeliveryChoice from '../DeliveryChoice.svelte';
	import type { ReceiveData } from '../receive-data';

	interface Props {
		data: ReceiveData;
		views: Snippet;
		refused: { fields?: Record<string, string> } | null | undefined;
	}
	let { data, views, refused }: Props = $props();
	const bank = $derived(data.overview.bank);
	const currency = $derived(data.currency);
	let index = $state(0);
	const delivery = $derived(data.trays[Math.min(index, data.trays.length - 1)]?.delivery ?? null);
	const faults = $derived<Record<string, string>>(refused?.fields ?? {});
	const day = (iso: string | null) => iso?.slice(0, 10) ?? '';
</script>

<StagePage
	title="What was promised?"
	subtitle="what was ordered, at what price, and what the cells are held against"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'receive')}
>
	{@render views()}
	<OrdersUnderWay {data} {faults} />
	{#if delivery}
		<DeliveryChoice trays={data.trays} bind:index />
		<HoldTyped record={delivery}>
			{#snippet children(held)}
				<form class="sheet grid gap-4 p-4" method="POST" action="?/order" use:enhance={formKept()}>
					<input type="hidden" name="id" value={held.id} />
					<input type="hidden" name="version" value={(held as { version?: number }).version} />
					<h2>{held.name}</h2>
					<OrderFields {held} {currency} {faults}>
						<Field label="Delivery" name="name" value={held.name} error={faults.name} />
						<Field
							label="Came on"
							type="date"
							name="receivedOn"
							value={day(held.receivedOn)}
							error={faults.receivedOn}
						/>
					</OrderFields>
					<div><button class="btn btn-primary tap">Keep</button></div>
				</form>
			{/snippet}
		</HoldTyped>
		<PhoneFold title="Papers of {delivery.name}" class="mt-4">
			<p class="muted">The order, the test report, the advert as it was: a photo or a PDF of each.</p>
			<Photos subjectKind="delivery" subjectId={delivery.id} label={delivery.name} />
		</PhoneFold>
	{/if}
	{#if data.overview.cellType}<Clauses cellType={data.overview.cellType} />{/if}
</StagePage>
