<script lang="ts">
	import { goto } from '$app/navigation';
	import { attempt } from '$lib/client/announce';
	import { ApiProblem } from '$lib/client/api';
	import { saveBank } from '$lib/client/save-bank';
	import BankForm from '$lib/components/bank/BankForm.svelte';
	import TopBar from '$lib/components/frame/TopBar.svelte';

	let { data } = $props();
	let fields = $state<Record<string, string>>({});

	async function save(bank: object, cellType: Parameters<typeof saveBank>[2]) {
		await attempt(async () => {
			try {
				const { id } = await saveBank(null, bank, cellType);
				await goto(`/banks/${id}/receive`);
			} catch (error) {
				fields = error instanceof ApiProblem ? error.fields : {};
				throw error;
			}
		});
	}
</script>

<svelte:head><title>New bank · Kind Ember</title></svelte:head>
<TopBar />
<main class="mx-auto max-w-4xl p-4">
	<h1 class="mb-3">New bank</h1>
	<BankForm
		bank={null}
		cellTypes={data.cellTypes}
		settings={data.settings}
		{fields}
		action="Make this bank"
		onsave={save}
	/>
</main>
