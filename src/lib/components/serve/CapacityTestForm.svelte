<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import { enhance } from '$app/forms';
	import { formKept } from '$lib/client/entry/form-kept';
	import Field from '$lib/components/forms/Field.svelte';
	import WhenField from '$lib/components/forms/WhenField.svelte';

	interface Props {
		/** Number of the battery in its bank. */
		battery: number;
		/** Why a field was refused, by its name. */
		refused: Record<string, string>;
	}
	let { battery, refused }: Props = $props();
	let fields = $derived(refused);
	const BLANK = {
		capacityAh: null as number | null,
		sdAh: null as number | null,
		efc: null as number | null,
		temperatureC: null as number | null,
		testedAt: null as string | null,
		testedDoubtS: null as number | null
	};
	let test = $state({ ...BLANK });
</script>

<PhoneFold title="Log a capacity test">
	<form
		method="POST"
		action="?/test&battery={battery}"
		class="grid items-end gap-3 sm:grid-cols-4"
		use:enhance={formKept({
			onfields: (refusals) => (fields = refusals),
			onkept: () => (test = { ...test, capacityAh: null, sdAh: null })
		})}
	>
		<input type="hidden" name="battery" value={battery} />
		<div class="sm:col-span-4">
			<WhenField
				bind:at={test.testedAt}
				bind:doubtS={test.testedDoubtS}
				names={{ at: 'testedAt', doubtS: 'testedDoubtS' }}
			/>
		</div>
		<Field
			label="Capacity"
			unit="Ah"
			type="number"
			name="capacityAh"
			bind:value={test.capacityAh}
			error={fields.capacityAh}
		/>
		<Field
			label="Usually off by, ±"
			unit="Ah"
			type="number"
			name="sdAh"
			bind:value={test.sdAh}
			placeholder="1 % of it"
			error={fields.sdAh}
		/>
		<Field
			label="Full cycles so far"
			unit="EFC"
			type="number"
			placeholder="not counted"
			name="efc"
			bind:value={test.efc}
			error={fields.efc}
		/>
		<!-- Sent in °C, whatever it is typed in. -->
		<input type="hidden" name="temperatureC" value={test.temperatureC ?? ''} />
		<Field
			label="Temperature of the cells"
			quantity="temperature"
			type="number"
			placeholder="not noted"
			bind:value={test.temperatureC}
			error={fields.temperatureC}
		/>
		<button class="btn btn-primary tap">Log the test</button>
	</form>
</PhoneFold>
