<script lang="ts">
	import { lookAgain } from '$lib/client/look-again';
	import { announce, attempt } from '$lib/client/announce';
	import { api } from '$lib/client/api';
	import { formatDateTime, type Settings } from '$lib/core/units';

	interface Props {
		label: string;
		/** Where the cell sits; null while it sits in no group. */
		place: {
			id: number;
			version: number;
			bankName: string;
			battery: number;
			position: number;
			placedAt: string;
		} | null;
		considered: { id: number; version: number; bankName: string }[];
		settings: Settings;
	}
	let { label, place, considered, settings }: Props = $props();

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
