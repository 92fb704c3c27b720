<script lang="ts">
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import { CHEMISTRIES, CHEMISTRY_FIGURES, type Chemistry } from '$lib/core/chemistry';
	import type { Settings } from '$lib/core/units';
	import { CELL_TYPE_FIGURES, figureDefault, figureUnit, figuresFromForm, figuresToForm } from './bank-form';

	interface CellTypeRecord {
		id: number;
		name: string;
		maker: string | null;
		chemistry: Chemistry;
		ratedAh: number;
		terminal: string | null;
		version: number;
	}
	interface BankFields {
		name: string;
		bankUse: string;
		chemistry: Chemistry;
		series: number;
		parallel: number;
		batteries: number;
		cellTypeId: number | null;
		notes: string | null;
		endFraction: number;
		inServiceOn: string | null;
	}
	interface Props {
		bank: BankFields | null;
		cellTypes: CellTypeRecord[];
		settings: Settings;
		fields: Record<string, string>;
		action: string;
		/** `cellType` is null when the type is not to be made or changed; its id is null for a new one. */
		onsave: (
			bank: BankFields,
			cellType: { id: number | null; version: number | null; fields: Record<string, unknown> } | null
		) => void;
	}
	let { bank, cellTypes, settings, fields, action, onsave }: Props = $props();

	const USES = ['cabin', 'van', 'motorhome', 'boat', 'other'];
	// svelte-ignore state_referenced_locally
	const start = bank;
	let form = $state<BankFields>({
		name: start?.name ?? '',
		bankUse: start?.bankUse ?? 'cabin',
		chemistry: start?.chemistry ?? 'LFP',
		series: start?.series ?? 8,
		parallel: start?.parallel ?? 1,
		batteries: start?.batteries ?? 1,
		cellTypeId: start?.cellTypeId ?? null,
		notes: start?.notes ?? '',
		endFraction: start?.endFraction ?? 0.8,
		inServiceOn: start?.inServiceOn?.slice(0, 10) ?? null
	});
	// svelte-ignore state_referenced_locally
	let typeChoice = $state<number | 'new'>(start?.cellTypeId ?? cellTypes.at(-1)?.id ?? 'new');
	const chosen = $derived(cellTypes.find((t) => t.id === typeChoice) ?? null);
	let typeForm = $state<{ name: string; maker: string; terminal: string; figures: Record<string, number | null> }>(
		blankType()
	);
	let showFigures = $state(false);

	function blankType() {
		return { name: '', maker: '', terminal: '', figures: figuresToForm({}, settings.units) };
	}
	$effect(() => {
		typeForm = chosen
			? {
					name: chosen.name,
					maker: chosen.maker ?? '',
					terminal: chosen.terminal ?? '',
					figures: figuresToForm(chosen as unknown as Record<string, number>, settings.units)
				}
			: blankType();
		if (!chosen) showFigures = true;
	});

	const groupAh = $derived((Number(typeForm.figures.ratedAh) || 0) * form.parallel * form.batteries);
	const nominalV = $derived(CHEMISTRY_FIGURES[form.chemistry].nominalV * form.series);

	function submit(event: SubmitEvent) {
		event.preventDefault();
		const touched = showFigures || typeChoice === 'new';
		const type = {
			name: typeForm.name.trim(),
			maker: typeForm.maker.trim() || null,
			terminal: typeForm.terminal.trim() || null,
			chemistry: form.chemistry,
			...figuresFromForm(typeForm.figures, settings.units)
		};
		onsave(
			{
				...form,
				name: form.name.trim(),
				notes: form.notes || null,
				inServiceOn: form.inServiceOn || null,
				cellTypeId: chosen?.id ?? null
			},
			touched ? { id: chosen?.id ?? null, version: chosen?.version ?? null, fields: type } : null
		);
	}
</script>

<form onsubmit={submit} class="grid gap-4" novalidate>
	<section class="sheet grid gap-4 p-4 sm:grid-cols-2">
		<Field label="Name" bind:value={form.name} error={fields.name} required maxlength={80} />
		<Choice label="Use" bind:value={form.bankUse} options={USES.map((u) => ({ value: u, text: u }))} />
		<Choice label="Chemistry" bind:value={form.chemistry} options={CHEMISTRIES.map((c) => ({ value: c, text: c }))} />
		<div class="grid grid-cols-3 gap-3">
			<Field label="In series" type="number" bind:value={form.series} error={fields.series} min="1" />
			<Field label="In parallel" type="number" bind:value={form.parallel} error={fields.parallel} min="1" />
			<Field label="Batteries" type="number" bind:value={form.batteries} error={fields.batteries} min="1" />
		</div>
		<p class="figure sm:col-span-2" aria-live="polite">
			{nominalV.toFixed(1)} V nominal · {form.series * form.parallel * form.batteries} cells{groupAh
				? ` · ${groupAh.toFixed(0)} Ah · ${((groupAh * nominalV) / 1000).toFixed(1)} kWh by rating`
				: ''}
		</p>
		{#if nominalV * 1.14 > 60}<p class="ember-text font-semibold sm:col-span-2">
				Above 60 V DC a touch can kill. Work to your local code, and have licensed help.
			</p>{/if}
	</section>
	<section class="sheet grid gap-4 p-4">
		<div class="flex flex-wrap items-end gap-3">
			<div class="grow">
				<label class="field-label" for="cell-type">Cell type</label>
				<select id="cell-type" class="select tap w-full" bind:value={typeChoice}>
					{#each cellTypes as type (type.id)}<option value={type.id}
							>{type.name} · {type.ratedAh} Ah {type.chemistry}</option
						>{/each}
					<option value="new">A new cell type …</option>
				</select>
			</div>
			{#if chosen}<button
					type="button"
					class="btn tap"
					onclick={() => (showFigures = !showFigures)}
					aria-expanded={showFigures}>{showFigures ? 'Leave the figures' : 'Change its figures'}</button
				>{/if}
		</div>
		{#if showFigures}
			<div class="grid gap-3 sm:grid-cols-3">
				<Field label="Type name" bind:value={typeForm.name} error={fields['cellType.name']} />
				<Field label="Maker" bind:value={typeForm.maker} />
				<Field label="Terminal" bind:value={typeForm.terminal} hint="for example M6 thread" />
			</div>
			<div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
				{#each CELL_TYPE_FIGURES as figure (figure.key)}
					<Field
						label={figure.label}
						unit={figureUnit(figure, settings.units)}
						type="number"
						bind:value={typeForm.figures[figure.key]}
						placeholder={figureDefault(figure, form.chemistry, settings.units)}
						error={fields[`cellType.${figure.key}`]}
					/>
				{/each}
			</div>
			<p class="text-sm muted">
				Take these from the maker’s data sheet. Where a field is blank the default of the chemistry is used, and shown
				as such.
			</p>
		{/if}
	</section>
	<section class="sheet grid gap-4 p-4 sm:grid-cols-3">
		<Field
			label="In service since"
			type="date"
			bind:value={form.inServiceOn}
			hint="blank until it works for its living"
		/>
		<Field
			label="End of life at"
			unit="fraction of rated"
			type="number"
			bind:value={form.endFraction}
			error={fields.endFraction}
		/>
		<div class="sm:col-span-3">
			<label class="field-label" for="bank-notes">Notes</label>
			<textarea id="bank-notes" class="textarea w-full" rows="2" bind:value={form.notes}></textarea>
		</div>
	</section>
	<div><button class="btn btn-primary tap">{action}</button></div>
</form>
