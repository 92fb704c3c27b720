<script lang="ts">
	import { QUANTITY_FIGURES, shownUnit } from '$lib/core/foundation/reading';
	import type { Settings } from '$lib/core/foundation/units';
	import type { TrayEntry } from './entry.svelte';

	let { entry, meterNote, units }: { entry: TrayEntry; meterNote: string; units: Settings['units'] } = $props();
	let input: HTMLInputElement;
	const figures = $derived(QUANTITY_FIGURES[entry.quantity]);

	export function focus() {
		input?.focus({ preventScroll: true });
	}

	function onkeydown(event: KeyboardEvent) {
		if (event.key === 'Enter') {
			event.preventDefault();
			entry.enter();
		}
	}
	function onpaste(event: ClipboardEvent) {
		const text = event.clipboardData?.getData('text') ?? '';
		if (!/[\n\t;]/.test(text.trim())) return;
		event.preventDefault();
		entry.paste(text);
	}
</script>

<section class="entry sheet" aria-label="Entry">
	<div class="flex items-center gap-4">
		<label for="entry-field" class="min-w-20 leading-tight"
			><strong class="text-2xl">{entry.selected?.label ?? 'No cell'}</strong><br /><span class="text-sm muted"
				>{figures.label}, {meterNote}</span
			></label
		>
		<input
			id="entry-field"
			bind:this={input}
			bind:value={entry.text}
			oninput={() => entry.typed()}
			class="figure field"
			inputmode="decimal"
			autocomplete="off"
			enterkeyhint="next"
			disabled={!entry.selected}
			{onkeydown}
			{onpaste}
			aria-describedby="entry-note"
			aria-invalid={entry.error ? true : undefined}
			placeholder={figures.decimals === 3 ? '0.000' : '0.0'}
		/>
		<span class="figure text-2xl">{shownUnit(entry.quantity, units)}</span>
	</div>
	<div class="buttons">
		<button
			class="btn btn-primary tap"
			data-often
			onclick={() => {
				entry.enter();
				focus();
			}}>Next cell <kbd class="kbd-key max-sm:hidden text-base-content">Enter</kbd></button
		>
		<button
			class="btn tap"
			disabled={!entry.canUndo}
			onclick={() => {
				void entry.undo();
				focus();
			}}>Undo <kbd class="kbd-key max-sm:hidden">Ctrl Z</kbd></button
		>
		<button
			class="btn tap"
			onclick={() => {
				entry.switchQuantity(entry.quantity === 'restVoltage' ? 'acResistance' : 'restVoltage');
				focus();
			}}>{entry.quantity === 'restVoltage' ? 'mΩ' : 'Volts'} <kbd class="kbd-key max-sm:hidden">R</kbd></button
		>
	</div>
	<span class="waiting" role="status"
		>{#if entry.waiting}<span class="muted">{entry.waiting} kept here, not yet sent</span>{/if}</span
	>
	<div id="entry-note" class="note" aria-live="assertive">
		{#if entry.error}<p class="ember-text font-semibold">{entry.error}</p>{/if}
		{#if entry.question}
			<p class="font-semibold">
				<span class="ember-text">{entry.question.cell.label}:</span>
				{entry.question.question.text}
				{#if entry.questions.length > 1}<span class="muted">({entry.questions.length - 1} more to answer)</span>{/if}
			</p>
			<div class="mt-1 flex gap-2">
				{#if entry.question.question.suggestion !== null}<button
						class="btn btn-primary tap"
						onclick={() => {
							entry.acceptSuggestion();
							focus();
						}}>Take {entry.question.question.suggestion} {QUANTITY_FIGURES[entry.question.quantity].unit}</button
					>{/if}
				<button
					class="btn tap"
					onclick={() => {
						entry.confirm();
						focus();
					}}>It is right as typed</button
				>
			</div>
		{/if}
	</div>
</section>

<style>
	.entry {
		position: relative;
		border: 2px solid var(--color-base-content);
		padding: 0.75rem 1rem;
		display: grid;
		grid-template-columns: minmax(0, 1fr) auto;
		align-items: center;
		gap: 0.5rem 1.5rem;
	}
	.field {
		font-size: 2.4rem;
		width: 8.2rem;
		background: transparent;
		border-bottom: 2px solid var(--line);
	}
	.field:focus {
		outline: none;
		border-bottom-color: var(--color-base-content);
	}
	.field::placeholder {
		color: color-mix(in oklch, var(--muted) 55%, transparent);
	}
	.buttons {
		display: flex;
		gap: 0.4rem;
		align-items: center;
	}
	.buttons :global(.btn) {
		padding-inline: 0.7rem;
	}
	/* On the frame, so that nothing moves when it comes and goes. */
	.waiting {
		position: absolute;
		top: -0.85rem;
		right: 1rem;
	}
	.waiting span {
		background: var(--color-base-100);
		padding-inline: 0.5rem;
	}
	.note {
		grid-column: 1 / -1;
	}
	@media (max-width: 900px) {
		.entry {
			grid-template-columns: minmax(0, 1fr);
		}
		.field {
			width: 100%;
			min-width: 0;
			font-size: 2.6rem;
		}
	}
</style>
