<script lang="ts">
	import type { Snippet } from 'svelte';
	import { enhance } from '$app/forms';
	import { formKept } from '$lib/client/form-kept';
	import { settingApart } from '$lib/client/set-apart';
	import Field from '$lib/components/forms/Field.svelte';
	import HoldTyped from '$lib/components/forms/HoldTyped.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import Photos from '$lib/components/photos/Photos.svelte';
	import { CLAUSE_KINDS } from '$lib/core/clauses';
	import { TERMINAL_KINDS } from '$lib/core/inspection';
	import Clauses from './Clauses.svelte';
	import DeliveryChoice from './DeliveryChoice.svelte';
	import type { ReceiveData } from './receive-data';

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
	{#if delivery}
		<DeliveryChoice trays={data.trays} bind:index />
		<HoldTyped record={delivery}>
			{#snippet children(held)}
				<form class="sheet grid gap-4 p-4" method="POST" action="?/order" use:enhance={formKept()}>
					<input type="hidden" name="id" value={held.id} />
					<input type="hidden" name="version" value={(held as { version?: number }).version} />
					<h2>{held.name}</h2>
					<div class="grid grid-cols-2 gap-3 sm:grid-cols-3">
						<Field label="Delivery" name="name" value={held.name} error={faults.name} />
						<Field label="Supplier" name="supplier" value={held.supplier} />
						<label
							><span class="field-label">Sold as</span>
							<select class="select tap w-full" name="used" value={String(held.used ?? false)}>
								<option value="false">new</option>
								<option value="true">used</option>
							</select></label
						>
						<Field label="Ordered" type="date" name="orderedOn" value={day(held.orderedOn)} />
						<Field label="Promised for" type="date" name="promisedOn" value={day(held.promisedOn)} />
						<Field
							label="Came on"
							type="date"
							name="receivedOn"
							value={day(held.receivedOn)}
							error={faults.receivedOn}
						/>
						<Field
							label="One cell cost"
							unit={currency}
							type="number"
							name="cellPrice"
							value={held.cellPrice}
							error={faults.cellPrice}
						/>
						<Field
							label="Shipping"
							unit={currency}
							type="number"
							name="shipping"
							value={held.shipping}
							error={faults.shipping}
						/>
						<Field
							label="A defect is told within"
							unit="days"
							type="number"
							name="claimDays"
							value={held.claimDays}
							hint="14 where nothing is said (usual)"
							error={faults.claimDays}
						/>
					</div>
					<h3 class="font-bold">Promised</h3>
					<div class="grid grid-cols-2 gap-3 sm:grid-cols-3">
						<Field
							label="Capacity"
							unit="Ah"
							type="number"
							name="promisedAh"
							value={held.promisedAh}
							error={faults.promisedAh}
						/>
						<label
							><span class="field-label">As</span>
							<select class="select tap w-full" name="promisedClause" value={held.promisedClause ?? ''}>
								<option value="">not said</option>
								{#each CLAUSE_KINDS as kind (kind)}<option value={kind}>{kind}</option>{/each}
							</select></label
						>
						<Field label="Grade" name="promisedGrade" value={held.promisedGrade} maxlength={40} />
						<Field
							label="AC resistance, at most"
							unit="mΩ"
							type="number"
							name="promisedResistanceMohm"
							value={held.promisedResistanceMohm}
							error={faults.promisedResistanceMohm}
						/>
						<Field
							label="Made on or after"
							type="date"
							name="promisedProducedOn"
							value={day(held.promisedProducedOn)}
						/>
						<label
							><span class="field-label">Terminals</span>
							<select class="select tap w-full" name="promisedTerminals" value={held.promisedTerminals ?? ''}>
								<option value="">not said</option>
								{#each TERMINAL_KINDS as kind (kind)}<option value={kind}>{kind}</option>{/each}
							</select></label
						>
					</div>
					<h2>Your own line for the grade</h2>
					<div class="grid items-end gap-3 sm:grid-cols-3">
						<Field
							label="At least"
							unit="Ah"
							type="number"
							name="gradeCapacityAh"
							value={held.gradeCapacityAh}
							error={faults.gradeCapacityAh}
						/>
						<Field
							label="AC resistance, at most"
							unit="mΩ at 25 °C"
							type="number"
							name="gradeResistanceMohm"
							value={held.gradeResistanceMohm}
							error={faults.gradeResistanceMohm}
						/>
						<p class="muted text-[0.95rem]">Cells surely outside it are named in Test. Blank: nothing is asked.</p>
					</div>
					<div><button class="btn btn-primary tap">Keep</button></div>
				</form>
			{/snippet}
		</HoldTyped>
		<section class="sheet mt-4 grid gap-2 p-4" aria-label="Papers of {delivery.name}">
			<h2>Papers</h2>
			<p class="muted">The order, the test report, the advert as it was: a photo or a PDF of each.</p>
			<Photos subjectKind="delivery" subjectId={delivery.id} label={delivery.name} />
		</section>
	{:else}<p>Unpack a delivery first (Readings).</p>{/if}
	{#if data.overview.cellType}<Clauses cellType={data.overview.cellType} />{/if}
</StagePage>
