<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import { goto } from '$app/navigation';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';

	interface Props {
		bank: { id: number; version: number; name: string };
		/** Tables that come as CSV. */
		tables: readonly string[];
	}
	let { bank, tables }: Props = $props();

	async function putAway() {
		const { id, version, name } = bank;
		if (!(await attempt(() => api.remove(`banks/${id}`, version)))) return;
		announce(
			`${name} was put away.`,
			() =>
				void attempt(async () => {
					await api.restore(`banks/${id}`);
					await goto(`/banks/${id}/plan`, { invalidateAll: true });
				})
		);
		await goto('/', { invalidateAll: true });
	}
</script>

<PhoneFold title="Take it with you" answer="one file, or tables" class="mt-4">
	<p>One file holds everything of this bank; another machine can bring it in from its first page.</p>
	<div class="flex flex-wrap gap-2">
		<a class="btn tap" href="/api/v1/banks/{bank.id}/export" download>Whole record</a>
		{#each tables as table (table)}<a
				class="btn btn-ghost tap"
				href="/api/v1/banks/{bank.id}/tables/{table}.csv"
				download>{table}.csv</a
			>{/each}
	</div>
	<div><button class="btn btn-ghost tap" onclick={putAway}>Put this bank away</button></div>
</PhoneFold>
