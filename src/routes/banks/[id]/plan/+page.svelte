<script lang="ts">
	import { goto } from '$app/navigation';
	import { announce, attempt } from '$lib/client/announce';
	import { api } from '$lib/client/api';
	import { settingApart } from '$lib/client/set-apart';
	import BatteryList from '$lib/components/bank/BatteryList.svelte';
	import BankForm from '$lib/components/bank/BankForm.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';

	let { data, form } = $props();
	const bank = $derived(data.overview.bank);

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

<StagePage
	title="Plan"
	subtitle="the bank and its cells"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'plan')}
>
	{#key bank.version}
		<BankForm {bank} cellTypes={data.cellTypes} settings={data.settings} refused={form} action="Save" to="?/save" />
	{/key}
	<BatteryList batteries={data.overview.batteries} bankId={bank.id} />
	<section class="sheet mt-4 p-4">
		<h2>Take it with you</h2>
		<p class="my-2">One file holds everything of this bank; another machine can bring it in from its first page.</p>
		<div class="flex flex-wrap gap-2">
			<a class="btn tap" href="/api/v1/banks/{bank.id}/export" download>Whole record</a>
			{#each data.tables as table (table)}<a
					class="btn btn-ghost tap"
					href="/api/v1/banks/{bank.id}/tables/{table}.csv"
					download>{table}.csv</a
				>{/each}
		</div>
		<button class="btn btn-ghost tap mt-4" onclick={putAway}>Put this bank away</button>
	</section>
</StagePage>
