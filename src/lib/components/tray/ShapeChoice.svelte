<script lang="ts">
	import { attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import Choice from '$lib/components/forms/Choice.svelte';
	import { OUTPUT_CORNERS, type OutputCorner } from '$lib/core/picture';
	import type { BatteryShape } from '$lib/core/build/box';
	import { rowChoices } from './battery-layout';

	/** How a battery lies, chosen under its drawing: every drawing of it follows. */
	interface Props {
		battery: { id: number; version: number; series: number; parallel: number } & BatteryShape;
	}
	let { battery }: Props = $props();
	const CORNER_NAMES: Record<OutputCorner, string> = {
		'front-left': 'front left',
		'front-right': 'front right',
		'back-left': 'back left',
		'back-right': 'back right'
	};
	async function change(shape: BatteryShape) {
		if (await attempt(() => api.patch(`batteries/${battery.id}`, { version: battery.version, ...shape })))
			await lookAgain();
	}
	const rows = $derived(battery.rows ?? 0);
	const corner = $derived(battery.outputsAt ?? 'front-left');
</script>

<details class="no-print">
	<summary class="tap flex cursor-pointer items-center gap-2"
		><span aria-hidden="true">›</span>How it lies
		<span class="muted"
			>{rows ? `${rows} ${rows === 1 ? 'row' : 'rows'}` : 'rows as they fit'}{battery.squareBlocks
				? ', square blocks'
				: ''}, battery − at the {CORNER_NAMES[corner]}</span
		></summary
	>
	<div class="grid gap-3 py-2">
		<Choice
			label="Rows"
			value={String(rows)}
			options={[
				{ value: '0', text: 'as they fit' },
				...rowChoices(battery.series).map((n) => ({ value: String(n), text: String(n) }))
			]}
			onchange={(n) => void change({ rows: Number(n) || null })}
		/>
		{#if battery.parallel > 1}<Choice
				label="Cells of a group"
				value={battery.squareBlocks ? 'square' : 'line'}
				options={[
					{ value: 'line', text: 'in one line' },
					{ value: 'square', text: 'in a square block' }
				]}
				onchange={(value) => void change({ squareBlocks: value === 'square' })}
			/>{/if}
		<Choice
			label="Battery − leaves at the"
			value={corner}
			options={OUTPUT_CORNERS.map((value) => ({ value, text: CORNER_NAMES[value] }))}
			onchange={(value) => void change({ outputsAt: value as OutputCorner })}
		/>
	</div>
</details>
