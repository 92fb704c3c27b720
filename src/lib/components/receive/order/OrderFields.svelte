<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import type { Snippet } from 'svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import { CLAUSE_KINDS } from '$lib/core/picture';
	import { TERMINAL_KINDS } from '$lib/core/picture';
	import type { OrderTerms } from '$lib/input/order-terms';

	/** What was ordered and promised: of an order that is under way, and of a delivery. */
	interface Props {
		held: OrderTerms;
		currency: string;
		/** Why a field was refused, by its name. */
		faults: Record<string, string>;
		/** What it is called, and further fields of its own. */
		children: Snippet;
	}
	let { held, currency, faults, children }: Props = $props();
	const day = (iso: string | null | undefined) => iso?.slice(0, 10) ?? '';
</script>

<div class="grid grid-cols-2 gap-3 sm:grid-cols-3">
	{@render children()}
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
		label="One cell cost"
		unit={currency}
		type="number"
		name="cellPrice"
		value={held.cellPrice}
		error={faults.cellPrice}
	/>
	<Field label="Shipping" unit={currency} type="number" name="shipping" value={held.shipping} error={faults.shipping} />
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
	<Field label="Capacity" unit="Ah" type="number" name="promisedAh" value={held.promisedAh} error={faults.promisedAh} />
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
	<Field label="Made on or after" type="date" name="promisedProducedOn" value={day(held.promisedProducedOn)} />
	<label
		><span class="field-label">Terminals</span>
		<select class="select tap w-full" name="promisedTerminals" value={held.promisedTerminals ?? ''}>
			<option value="">not said</option>
			{#each TERMINAL_KINDS as kind (kind)}<option value={kind}>{kind}</option>{/each}
		</select></label
	>
</div>
<PhoneFold
	title="Your own line for the grade"
	answer={held.gradeCapacityAh ? `at least ${held.gradeCapacityAh} Ah` : 'none'}
	bare
>
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
</PhoneFold>
