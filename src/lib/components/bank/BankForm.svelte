<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import { enhance } from '$app/forms';
	import { formKept } from '$lib/client/entry/form-kept';
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import { CHEMISTRIES, CHEMISTRY_FIGURES, type Chemistry } from '$lib/core/foundation/chemistry';
	import { bankLayout, type SizedBattery } from '$lib/core/plan/layouts';
	import { notOfAClass, seriesFor } from '$lib/core/plan/loads';
	import { BANK_USES } from '$lib/core/picture';
	import type { PictureCellType } from '$lib/core/picture';
	import type { Settings } from '$lib/core/foundation/units';
	import { TYPE_PREFIX } from '$lib/input/bank-form';
	import { figuresToForm, shownFigures } from './bank-form';

	type CellTypeRecord = PictureCellType & {
		id: number;
		version: number;
		maker: string | null;
		terminal: string | null;
	};
	interface Props {
		/** The bank to change; null for a new one. */
		bank: {
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
			version: number;
		} | null;
		cellTypes: CellTypeRecord[];
		/** Its batteries as they are; empty for a new bank. */
		batteries?: readonly SizedBattery[];
		settings: Settings;
		/** Why the form was refused before the page was awake, by field, and what was typed. */
		refused: { fields?: Record<string, string>; typed?: Record<string, string> } | null;
		/** What the button says, and where the form goes. */
		action: string;
		to?: string;
	}
	let { bank, cellTypes, batteries = [], settings, refused, action, to }: Props = $props();

	// svelte-ignore state_referenced_locally
	const [start, typed] = [bank, refused?.typed ?? {}];
	let fields = $derived(refused?.fields ?? {});
	let form = $state({
		name: typed.name ?? start?.name ?? '',
		bankUse: typed.bankUse ?? start?.bankUse ?? 'cabin',
		chemistry: (typed.chemistry ?? start?.chemistry ?? 'LFP') as Chemistry,
		series: start?.series ?? 8,
		parallel: start?.parallel ?? 1,
		batteries: start?.batteries ?? 1,
		notes: typed.notes ?? start?.notes ?? '',
		endFraction: start?.endFraction ?? 0.8,
		inServiceOn: typed.inServiceOn ?? start?.inServiceOn?.slice(0, 10) ?? null
	});
	// svelte-ignore state_referenced_locally
	let typeChoice = $state<number | 'new'>(start?.cellTypeId ?? cellTypes.at(-1)?.id ?? 'new');
	const chosen = $derived(cellTypes.find((t) => t.id === typeChoice) ?? null);
	// svelte-ignore state_referenced_locally
	let typeForm = $state(typeAsForm(chosen));
	// svelte-ignore state_referenced_locally
	let showFigures = $state(typeChoice === 'new');
	const figures = $derived(shownFigures(form.chemistry, settings.units));

	function typeAsForm(type: CellTypeRecord | null) {
		return {
			name: type?.name ?? '',
			maker: type?.maker ?? '',
			terminal: type?.terminal ?? '',
			figures: figuresToForm(type ?? {}, settings.units)
		};
	}
	function choose() {
		typeForm = typeAsForm(chosen);
		if (!chosen) showFigures = true;
	}

	const sized = $derived(bankLayout(batteries));
	const built = $derived(Math.max(0, form.batteries - sized.readyMade));
	const groupAh = $derived((Number(typeForm.figures.ratedAh) || 0) * form.parallel * built);
	const nominalV = $derived(CHEMISTRY_FIGURES[form.chemistry].nominalV * form.series);
	const offClass = $derived(form.series >= 1 ? notOfAClass(form.series, form.chemistry) : null);
</script>

<form
	method="POST"
	action={to}
	class="grid gap-4"
	novalidate
	use:enhance={formKept({
		onfields: (refusals) => (fields = refusals),
		onkept: () => (showFigures = typeChoice === 'new')
	})}
>
	{#if bank}<input type="hidden" name="version" value={bank.version} />{/if}
	<section class="sheet grid gap-4 p-4 sm:grid-cols-2">
		<Field label="Name" name="name" bind:value={form.name} error={fields.name} required maxlength={80} />
		<Choice
			label="Use"
			name="bankUse"
			bind:value={form.bankUse}
			options={BANK_USES.map((u) => ({ value: u, text: u }))}
		/>
		<Choice
			label="Chemistry"
			name="chemistry"
			bind:value={form.chemistry}
			options={CHEMISTRIES.map((c) => ({ value: c, text: c }))}
		/>
		{#if !bank}<div>
				<span class="field-label">For what voltage?</span>
				<div class="flex flex-wrap gap-2">
					{#each [12, 24, 48] as classV (classV)}<button
							type="button"
							class="btn tap {form.series === seriesFor(classV, form.chemistry) ? 'btn-primary' : ''}"
							data-often
							aria-pressed={form.series === seriesFor(classV, form.chemistry)}
							onclick={() => (form.series = seriesFor(classV, form.chemistry))}>{classV} V</button
						>{/each}
				</div>
				<p class="text-sm muted">
					The voltage of what it must run: inverter, chargers, lamps. What those are is asked next.
				</p>
			</div>{/if}
		<div class="grid grid-cols-3 gap-3">
			<Field label="In series" type="number" name="series" bind:value={form.series} error={fields.series} min="1" />
			<Field
				label="In parallel"
				type="number"
				name="parallel"
				bind:value={form.parallel}
				error={fields.parallel}
				min="1"
			/>
			<Field
				label="Batteries"
				type="number"
				name="batteries"
				bind:value={form.batteries}
				error={fields.batteries}
				min="1"
			/>
		</div>
		<p class="figure sm:col-span-2" aria-live="polite">
			{nominalV.toFixed(1)} V nominal · {form.series * form.parallel * built} cells{groupAh
				? ` · ${groupAh.toFixed(0)} Ah · ${((groupAh * nominalV) / 1000).toFixed(1)} kWh by rating`
				: ''}{sized.readyMade
				? `, beside ${sized.readyMade} ready-made${sized.besideAh ? ` (${sized.besideAh.toFixed(0)} Ah, ${(sized.besideWh / 1000).toFixed(1)} kWh)` : ''}`
				: ''}
		</p>
		{#if offClass}<p class="ember-text font-semibold sm:col-span-2" role="status">
				{nominalV.toFixed(1)} V is no usual class: what is sold for {offClass.classV} V wants {offClass.series} in series.
				Keep it only if everything that hangs on it is made for {nominalV.toFixed(1)} V.
			</p>{/if}
		{#if nominalV * 1.14 > 60}<p class="ember-text font-semibold sm:col-span-2">
				Above 60 V DC a touch can kill. Work to your local code, and have licensed help.
			</p>{/if}
	</section>
	<section class="sheet grid gap-4 p-4">
		<div class="flex flex-wrap items-end gap-3">
			<div class="grow">
				<label class="field-label" for="cell-type">Cell type</label>
				<select
					id="cell-type"
					name="cellTypeChoice"
					class="select tap w-full"
					bind:value={typeChoice}
					onchange={choose}
				>
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
			{#if chosen}<input type="hidden" name="{TYPE_PREFIX}version" value={chosen.version} />{/if}
			<div class="grid gap-3 sm:grid-cols-3">
				<Field label="Type name" name="{TYPE_PREFIX}name" bind:value={typeForm.name} error={fields['cellType.name']} />
				<Field label="Maker" name="{TYPE_PREFIX}maker" bind:value={typeForm.maker} />
				<Field
					label="Terminal"
					name="{TYPE_PREFIX}terminal"
					bind:value={typeForm.terminal}
					hint="for example M6 thread"
				/>
			</div>
			<div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
				{#each figures as { key, label, unit, fallback } (key)}
					<Field
						{label}
						{unit}
						type="number"
						name="{TYPE_PREFIX}{key}"
						bind:value={typeForm.figures[key]}
						placeholder={fallback}
						error={fields[TYPE_PREFIX + key]}
					/>
				{/each}
			</div>
			<p class="text-sm muted">
				Take these from the maker’s data sheet. Where a field is blank the default of the chemistry is used, and shown
				as such.
			</p>
		{/if}
	</section>
	<PhoneFold title="In service and end of life" answer={form.inServiceOn ? null : 'not in service'}>
		<div class="grid gap-4 sm:grid-cols-3">
			<Field
				label="In service since"
				type="date"
				name="inServiceOn"
				bind:value={form.inServiceOn}
				hint="blank until it works for its living"
			/>
			<Field
				label="End of life at"
				unit="fraction of rated"
				type="number"
				name="endFraction"
				bind:value={form.endFraction}
				error={fields.endFraction}
			/>
			<div class="sm:col-span-3">
				<label class="field-label" for="bank-notes">Notes</label>
				<textarea id="bank-notes" name="notes" class="textarea w-full" rows="2" bind:value={form.notes}></textarea>
			</div>
		</div>
	</PhoneFold>
	<div><button class="btn btn-primary tap">{action}</button></div>
</form>
