<script lang="ts">
	import VerdictList from '$lib/components/verdicts/VerdictList.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import { CHEMISTRIES, type Chemistry } from '$lib/core/foundation/chemistry';
	import { checkLabelFigures, type LabelCheck } from '$lib/core/plan/label';
	import { CoreError } from '$lib/core/foundation/errors';
	import Fold from '$lib/components/frame/Fold.svelte';

	let label = $state<
		Record<'series' | 'ratedAh' | 'ratedWh' | 'nominalV' | 'fullV' | 'claimedA' | 'claimedKw', number | null>
	>({
		...{ series: null, ratedAh: null, ratedWh: null, nominalV: null, fullV: null, claimedA: null, claimedKw: null }
	});
	let chemistry = $state<Chemistry | ''>('');
	const FIELDS = [
		{ key: 'ratedAh', name: 'Capacity', unit: 'Ah' },
		{ key: 'ratedWh', name: 'Energy', unit: 'Wh' },
		{ key: 'nominalV', name: 'Voltage', unit: 'V' },
		{ key: 'fullV', name: 'Charged to', unit: 'V' },
		{ key: 'series', name: 'Cells in series', unit: '' },
		{ key: 'claimedA', name: 'Called amps', unit: 'A' },
		{ key: 'claimedKw', name: 'Called kilowatts', unit: 'kW' }
	] as const;
	const given = $derived(Object.values(label).some((v) => v !== null));
	const check = $derived.by((): LabelCheck | string | null => {
		if (!given) return null;
		try {
			return checkLabelFigures({ ...label, chemistry: chemistry || null });
		} catch (error) {
			return error instanceof CoreError ? error.message : 'These figures cannot be compared.';
		}
	});
	const answer = $derived(
		check === null
			? 'Ah, Wh and V of an advert against each other'
			: typeof check === 'string'
				? 'cannot be compared'
				: (check.verdicts[0]?.title ?? null)
	);
</script>

<Fold title="Does a label tell the truth?" {answer}>
	<div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
		{#each FIELDS as { key, name, unit } (key)}
			<Field label={name} unit={unit || undefined} type="number" bind:value={label[key]} />
		{/each}
		<label
			><span class="field-label">Chemistry</span>
			<select class="select tap w-full" bind:value={chemistry}>
				<option value="">not said</option>
				{#each CHEMISTRIES as c (c)}<option value={c}>{c}</option>{/each}
			</select></label
		>
	</div>
	{#if typeof check === 'string'}<p class="ember-text">{check}</p>
	{:else if check}<VerdictList verdicts={check.verdicts} />{/if}
</Fold>
