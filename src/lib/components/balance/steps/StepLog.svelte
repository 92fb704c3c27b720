<script lang="ts">
	import type { MethodEntry, MethodRun } from '$lib/core/picture';
	import { formatDateTime, type Settings } from '$lib/core/foundation/units';
	import { STEP_NAMES, entryWords } from './step-words';

	/** What was done, the latest first. */
	interface Props {
		run: MethodRun;
		dateStyle: Settings['dateStyle'];
		/** Missing: nothing of it is taken out any more. */
		ontakeout?: (entry: MethodEntry) => void;
	}
	let { run, dateStyle, ontakeout }: Props = $props();
	const labelOf = (id: number | null) => run.cells.find((c) => c.id === id)?.label ?? null;
</script>

<ol class="my-2 grid gap-1">
	{#each [...run.entries].reverse() as e (e.id)}
		<li class="flex flex-wrap items-center justify-between gap-x-3">
			<span
				><strong>{labelOf(e.cellId) ?? e.unit ?? ''}</strong>
				{STEP_NAMES[e.step] ?? e.step} <span class="figure">{entryWords(e)}</span></span
			>
			<span class="flex items-center gap-2"
				><span class="muted figure">{formatDateTime(e.doneAt, dateStyle)}</span>
				{#if ontakeout}<button class="btn btn-ghost tap" onclick={() => ontakeout(e)}>Take out</button>{/if}</span
			>
		</li>
	{:else}<li class="muted">Nothing yet.</li>{/each}
</ol>
