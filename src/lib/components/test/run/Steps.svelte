<!-- From what a run read to what it comes to under the conditions of its protocol, step by step; each can be switched off. -->
<script lang="ts">
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import Field from '$lib/components/forms/Field.svelte';
	import type { Correction } from '$lib/core/picture';
	import type { PictureRun } from '$lib/core/picture';
	import type { RunCorrection } from '$lib/core/test/capacities';

	interface Props {
		run: PictureRun;
		correction: RunCorrection;
		/** Of all runs of the cell together, Ah, with its doubt. */
		capacityAh: number;
		sdAh: number;
	}
	let { run, correction, capacityAh, sdAh }: Props = $props();
	const NAMES: Record<Correction, string> = {
		drop: 'Leads of the tester',
		temperature: 'Warmth',
		rate: 'Rate',
		tester: 'Tester, and other runs'
	};
	const off = $derived(new Set(run.correctionsOff ?? []));
	/** The last step is what all runs and testers together make of it. */
	const rows = $derived([
		...correction.steps,
		{
			correction: 'tester' as const,
			factor: capacityAh / correction.standardAh,
			relativeSd: sdAh / capacityAh,
			isOff: off.has('tester')
		}
	]);
	const after = $derived(
		rows.map((_, i) => rows.slice(0, i + 1).reduce((ah, step) => ah * step.factor, run.capacityAh))
	);
	const percent = (factor: number) => `${factor < 1 ? '−' : '+'}${Math.abs(100 * (factor - 1)).toFixed(2)} %`;
	let leadMohm = $derived(run.leadOhm == null ? null : Number((1000 * run.leadOhm).toPrecision(6)));

	const change = async (fields: object) => {
		await attempt(() => api.patch(`runs/${run.id}`, { version: run.version, ...fields }));
		await lookAgain();
	};
	const toggle = (correction: Correction) => {
		const list = off.has(correction) ? [...off].filter((c) => c !== correction) : [...off, correction];
		void change({ correctionsOff: list });
	};
</script>

<details class="mt-3">
	<summary class="tap cursor-pointer"
		>How it was reckoned{off.size
			? `; ${off.size} ${off.size === 1 ? 'step is' : 'steps are'} switched off`
			: ''}</summary
	>
	<table class="table">
		<thead
			><tr
				><th>Step</th><th class="text-right">Moves it by</th><th class="text-right">± adds</th><th class="text-right"
					>Ah</th
				></tr
			></thead
		>
		<tbody>
			<tr><td>As read</td><td></td><td></td><td class="figure text-right">{run.capacityAh.toFixed(2)}</td></tr>
			{#each rows as step, i (step.correction)}
				<tr>
					<td
						><label class="tap flex items-center gap-2"
							><input
								type="checkbox"
								class="checkbox"
								checked={!step.isOff}
								onchange={() => toggle(step.correction)}
							/>{NAMES[step.correction]}</label
						></td
					>
					<td class="figure text-right">{step.isOff ? 'off' : percent(step.factor)}</td>
					<td class="figure text-right"
						>{i === rows.length - 1
							? `in all ${(100 * step.relativeSd).toFixed(2)} %`
							: `${(100 * step.relativeSd).toFixed(2)} %`}</td
					>
					<td class="figure text-right">{after[i]!.toFixed(2)}</td>
				</tr>
			{/each}
		</tbody>
	</table>
	<p class="muted">
		A step that is switched off moves nothing, and what it would have moved is doubt instead: the verdict follows.
	</p>
	<form
		class="mt-2 flex flex-wrap items-end gap-3"
		onsubmit={(event) => {
			event.preventDefault();
			void change({ leadOhm: leadMohm === null ? null : leadMohm / 1000 });
		}}
	>
		<div class="w-48">
			<Field
				label="Leads of a two-wire tester"
				unit="mΩ"
				type="number"
				bind:value={leadMohm}
				hint="(volts at the cell − volts it shows) ÷ A"
			/>
		</div>
		<button class="btn tap">Reckon it in</button>
	</form>
</details>
