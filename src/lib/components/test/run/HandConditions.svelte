<script lang="ts">
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import WhenField from '$lib/components/forms/WhenField.svelte';

	/** How a result by hand was run; blank: not known. */
	interface Props {
		hand: {
			energyWh: number | null;
			currentA: number | null;
			powerW: number | null;
			cutoffV: number | null;
			restH: number | null;
			tester: string;
			full: string;
		};
		testedAt: string | null;
		testedDoubtS: number | null;
		fields: Record<string, string>;
	}
	let { hand = $bindable(), testedAt = $bindable(), testedDoubtS = $bindable(), fields }: Props = $props();
</script>

<div class="grid grid-cols-2 gap-3 pt-2 sm:grid-cols-4">
	<Field label="Energy" unit="Wh" type="number" name="energyWh" bind:value={hand.energyWh} error={fields.energyWh} />
	<Field
		label="Current"
		unit="A"
		type="number"
		name="currentA"
		bind:value={hand.currentA}
		error={fields.currentA}
		placeholder={hand.powerW === null ? '' : 'or watts'}
	/>
	<Field label="or power" unit="W" type="number" name="powerW" bind:value={hand.powerW} error={fields.powerW} />
	<Field label="Cut-off" unit="V" type="number" name="cutoffV" bind:value={hand.cutoffV} error={fields.cutoffV} />
	<Field label="Rest before it" unit="h" type="number" name="restS" bind:value={hand.restH} error={fields.restS} />
	<Field label="Tester" name="tester" bind:value={hand.tester} error={fields.tester} />
	<div class="col-span-2">
		<Choice
			label="Was it full at the start?"
			name="startedFull"
			bind:value={hand.full}
			options={[
				{ value: 'yes', text: 'yes' },
				{ value: 'no', text: 'no' },
				{ value: 'unknown', text: 'not known' }
			]}
		/>
	</div>
	<div class="col-span-full">
		<WhenField bind:at={testedAt} bind:doubtS={testedDoubtS} names={{ at: 'testedAt', doubtS: 'testedDoubtS' }} />
	</div>
</div>
