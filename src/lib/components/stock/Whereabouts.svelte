<script lang="ts">
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { formatDateTime, type Settings } from '$lib/core/foundation/units';

	interface Props {
		label: string;
		/** Where the cell sits; null while it sits in no group. */
		place: {
			id: number;
			version: number;
			bankId: number;
			cellId: number;
			bankName: string;
			battery: number;
			position: number;
			placedAt: string;
		} | null;
		/** Loose cells that could take its place. */
		replacements: { id: number; label: string; capacityAh: number | null }[];
		considered: { id: number; version: number; bankName: string }[];
		settings: Settings;
	}
	let { label, place, replacements, considered, settings }: Props = $props();

	/** Does something to a record, tells of it, and offers the way back. */
	async function change(deed: () => Promise<unknown>, told: string, back: () => Promise<unknown>) {
		if (!(await attempt(deed))) return;
		announce(
			told,
			() =>
				void attempt(async () => {
					await back();
					await lookAgain();
				})
		);
		await lookAgain();
	}
	const takeOut = ({ id, version, bankName }: NonNullable<typeof place>) =>
		change(
			() => api.patch(`placements/${id}`, { version, removedAt: new Date().toISOString() }),
			`${label} was taken out of ${bankName}. Its history stays with it.`,
			() => api.patch(`placements/${id}`, { version: version + 1, removedAt: null })
		);
	let intoId = $state<number | null>(null);
	let despite = $state('');
	let refusal = $state<string | null>(null);
	/** One place changes hands; every other cell of the battery stays as it is. */
	async function exchange({ bankId, cellId, bankName }: NonNullable<typeof place>) {
		refusal = null;
		const into = replacements.find((r) => r.id === intoId)!;
		try {
			await api.post(`banks/${bankId}/exchange`, {
				...{ outCellId: cellId, intoCellId: into.id },
				...(despite.trim() ? { despite: despite.trim() } : {})
			});
		} catch (error) {
			refusal = error instanceof Error ? error.message : String(error);
			return;
		}
		announce(
			`${label} was exchanged for ${into.label} in ${bankName}. Leads, torques and what was proved there are open again.`
		);
		[intoId, despite] = [null, ''];
		await lookAgain();
	}
	const letGo = ({ id, version, bankName }: (typeof considered)[number]) =>
		change(
			() => api.remove(`candidates/${id}`, version),
			`${label} is no longer considered for ${bankName}.`,
			() => api.restore(`candidates/${id}`)
		);
</script>

<section class="sheet my-4 grid gap-3 p-4" aria-label="Where it is">
	{#if place}
		{@const at = place}
		<div class="flex flex-wrap items-center justify-between gap-2">
			<p>
				<strong>In {at.bankName}</strong>, battery {at.battery}, group {at.position}, since {formatDateTime(
					at.placedAt,
					settings.dateStyle
				)}
			</p>
			<button class="btn tap" onclick={() => takeOut(at)}>Take it out of the group</button>
		</div>
		<details id="exchange">
			<summary class="tap cursor-pointer">Exchange this cell for another</summary>
			{#if replacements.length}
				<form
					class="mt-2 grid gap-3"
					onsubmit={(event) => {
						event.preventDefault();
						void exchange(at);
					}}
				>
					<label
						><span class="field-label">Cell that goes in</span>
						<select class="select tap w-full" bind:value={intoId} required>
							<option value={null}>choose</option>
							{#each replacements as r (r.id)}<option value={r.id}
									>{r.label}{r.capacityAh === null ? ', not tested' : `, ${r.capacityAh.toFixed(1)} Ah`}</option
								>{/each}
						</select></label
					>
					{#if refusal}<p class="ember-text font-semibold" role="alert">{refusal}</p>
						<label
							><span class="field-label">Reason to build it in all the same</span>
							<input class="input tap w-full" maxlength="400" bind:value={despite} /></label
						>{/if}
					<p class="muted">
						Battery isolated, plug of the BMS out, loads and chargers off. The new cell at the others’ state of charge.
						Every other cell keeps its place and its history.
					</p>
					<div><button class="btn btn-primary tap" disabled={intoId === null}>Record: cells exchanged</button></div>
				</form>
			{:else}<p class="mt-2">
					No loose cell is considered for this bank. <a class="underline underline-offset-4" href="/stock"
						>Pick one from the stock</a
					> first.
				</p>{/if}
		</details>
	{/if}
	{#each considered as wish (wish.id)}
		<div class="flex flex-wrap items-center justify-between gap-2">
			<p>Considered for <strong>{wish.bankName}</strong></p>
			<button class="btn tap" onclick={() => letGo(wish)}>No longer consider it</button>
		</div>
	{/each}
	{#if !place && considered.length === 0}
		<p>
			It lies in the stock, for no bank. <a class="underline underline-offset-4" href="/stock">Pick it for one there</a
			>.
		</p>
	{/if}
</section>
