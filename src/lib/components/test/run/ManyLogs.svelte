<script lang="ts">
	import { untrack } from 'svelte';
	import { ApiProblem, api } from '$lib/client/api/api';
	import Field from '$lib/components/forms/Field.svelte';
	import { cellOfFileName } from '$lib/core/test/log';
	import { fromUserUnits, type Settings } from '$lib/core/foundation/units';

	interface Props {
		files: readonly File[];
		cells: readonly { id: number; label: string }[];
		temperatureUnit: string;
		units: Settings['units'];
		onclose: () => void;
	}
	let { files, cells, temperatureUnit, units, onclose }: Props = $props();
	interface Row {
		file: File;
		cellId: number | null;
		said: string | null;
		state: 'waits' | 'stored' | 'refused';
	}
	let rows = $state<Row[]>(
		untrack(() =>
			files.map((file) => ({
				file,
				cellId: cellOfFileName(file.name, cells)?.id ?? null,
				said: null,
				state: 'waits' as const
			}))
		)
	);
	let temperature = $state<number | null>(null);
	/** All held at it on purpose; null: as the room was. */
	let heldAt = $state<number | null>(null);
	let tester = $state('');
	let going = $state(false);
	let stopped = false;
	const doubled = $derived(
		new Set(rows.map((r) => r.cellId).filter((id, i, all) => id !== null && all.indexOf(id) !== i))
	);
	const ready = $derived(rows.filter((r) => r.cellId !== null && r.state !== 'stored').length);
	const done = $derived(rows.filter((r) => r.state !== 'waits').length);

	async function storeAll() {
		going = true;
		stopped = false;
		const temperatureC = fromUserUnits(temperature, 'temperature', units) ?? undefined;
		const heldAtC = fromUserUnits(heldAt, 'temperature', units) ?? undefined;
		for (const row of rows) {
			if (stopped) break;
			if (row.cellId === null || row.state === 'stored') continue;
			try {
				const text = await row.file.text();
				const about = { fileName: row.file.name, temperatureC, heldAtC, tester: tester.trim() || undefined };
				await api.sendCsv(`cells/${row.cellId}/runs`, text, about);
				[row.state, row.said] = ['stored', 'stored'];
			} catch (error) {
				[row.state, row.said] = ['refused', error instanceof ApiProblem ? error.message : 'It could not be read.'];
			}
		}
		going = false;
	}
</script>

<section class="sheet mt-4 grid gap-3 p-4" aria-label="Several logs">
	<h2>{files.length} logs</h2>
	<div class="grid grid-cols-2 gap-3 sm:max-w-lg">
		<Field
			label="All run at"
			unit={temperatureUnit}
			type="number"
			bind:value={temperature}
			hint="blank: taken for a cool shed’s, with its doubt"
		/>
		<Field
			label="Held on purpose at"
			unit={temperatureUnit}
			type="number"
			bind:value={heldAt}
			hint="a warm box or the cold; blank: in the room"
		/>
		<Field label="All on the tester" bind:value={tester} maxlength={80} />
	</div>
	<ul class="grid gap-2">
		{#each rows as row (row.file.name)}
			<li class="flex flex-wrap items-center gap-3">
				<span class="grow break-all"><strong>{row.file.name}</strong></span>
				<select
					class="select tap w-32"
					aria-label="Cell of {row.file.name}"
					disabled={row.state === 'stored'}
					bind:value={row.cellId}
				>
					<option value={null}>no cell</option>
					{#each cells as { id, label } (id)}<option value={id}>{label}</option>{/each}
				</select>
				{#if row.said}<span class={row.state === 'refused' ? 'ember-text w-full' : 'muted'}>{row.said}</span>{/if}
				{#if row.cellId !== null && doubled.has(row.cellId)}<span class="ember-text">two logs for this cell</span>{/if}
			</li>
		{/each}
	</ul>
	<div class="flex flex-wrap items-center gap-3">
		{#if going}
			<progress class="progress w-40" max={rows.length} value={done} aria-label="Logs stored"></progress>
			<button class="btn tap" onclick={() => (stopped = true)}>Stop</button>
		{:else}
			<button class="btn btn-primary tap" disabled={ready === 0} onclick={() => void storeAll()}
				>Store {ready === 1 ? 'one' : ready}</button
			>
			<button class="btn tap" onclick={onclose}
				>{rows.every((r) => r.state === 'stored') ? 'Done' : 'Leave the rest'}</button
			>
		{/if}
	</div>
</section>
