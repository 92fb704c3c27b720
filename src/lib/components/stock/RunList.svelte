<script lang="ts">
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { measure } from '$lib/client/settings/own-style';
	import PlanNumber from '$lib/components/plan/PlanNumber.svelte';
	import { formatDateTime, type Settings } from '$lib/core/foundation/units';

	interface ListedRun {
		id: number;
		version: number;
		source: 'log' | 'hand' | 'live';
		capacityAh: number;
		testedAt: string;
		tester: string | null;
		fileName: string | null;
		/** Run at this temperature on purpose, °C; null: at that of the room. */
		heldAtC: number | null;
	}
	interface Props {
		label: string;
		runs: readonly ListedRun[];
		/** Cells a run may really be of. */
		siblings: readonly { id: number; label: string }[];
		settings: Settings;
	}
	let { label, runs, siblings, settings }: Props = $props();
	const FROM = { log: 'log', hand: 'by hand', live: 'live' };
	let holding = $state<number | null>(null);
	let moving = $state<number | null>(null);
	let toId = $state<number | null>(null);

	async function remove({ id, version, capacityAh }: ListedRun) {
		if (!(await attempt(() => api.remove(`runs/${id}`, version)))) return;
		announce(
			`${capacityAh.toFixed(1)} Ah was removed from ${label}.`,
			() =>
				void attempt(async () => {
					await api.restore(`runs/${id}`);
					await lookAgain();
				})
		);
		await lookAgain();
	}
	async function hold({ id, version }: ListedRun, heldAtC: number | null) {
		if (await attempt(() => api.patch(`runs/${id}`, { version, heldAtC }))) await lookAgain();
	}
	async function move({ id, version, capacityAh }: ListedRun) {
		const to = siblings.find((s) => s.id === toId);
		if (!to || !(await attempt(() => api.patch(`runs/${id}`, { version, cellId: to.id })))) return;
		[moving, toId] = [null, null];
		announce(`${capacityAh.toFixed(1)} Ah is a run of ${to.label} now.`);
		await lookAgain();
	}
</script>

{#if runs.length}
	<section class="sheet my-4 p-4" aria-label="Capacity results">
		<h2>Capacity results</h2>
		<ol class="mt-2 grid gap-2">
			{#each [...runs].reverse() as run (run.id)}
				<li class="flex flex-wrap items-center justify-between gap-2 border-t border-[var(--line)] pt-2">
					<span
						><strong class="figure">{run.capacityAh.toFixed(1)} Ah</strong>
						<span class="muted"
							>{formatDateTime(run.testedAt, settings.dateStyle)}, {FROM[run.source]}{run.tester
								? `, ${run.tester}`
								: ''}{run.fileName ? `, ${run.fileName}` : ''}{run.heldAtC === null
								? ''
								: `, on purpose at ${measure(run.heldAtC, 'temperature', 0)}`}</span
						></span
					>
					<span class="flex flex-wrap gap-2">
						{#if moving === run.id}
							<select class="select tap" aria-label="The cell it is of" bind:value={toId}>
								<option value={null}>choose the cell</option>
								{#each siblings as s (s.id)}<option value={s.id}>{s.label}</option>{/each}
							</select>
							<button class="btn btn-primary tap" disabled={toId === null} onclick={() => void move(run)}>Move</button>
							<button class="btn tap" onclick={() => (moving = null)}>Cancel</button>
						{:else}
							{#if siblings.length}<button class="btn tap" onclick={() => ([moving, toId] = [run.id, null])}
									>Move to another cell</button
								>{/if}
							<button class="btn tap" onclick={() => (holding = holding === run.id ? null : run.id)}
								>Run warm or cold on purpose</button
							>
							<button class="btn tap" onclick={() => void remove(run)}>Remove result</button>
						{/if}
					</span>
					{#if holding === run.id}<div class="basis-full">
							<PlanNumber
								label="Held on purpose at"
								quantity="temperature"
								value={run.heldAtC}
								onkeep={(v) => void hold(run, v)}
								hint="It is compared only with runs at the same temperature; blank: an ordinary run."
								class="max-w-md"
							/>
						</div>{/if}
				</li>
			{/each}
		</ol>
	</section>
{/if}
