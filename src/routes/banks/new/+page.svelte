<script lang="ts">
	import BankForm from '$lib/components/bank/BankForm.svelte';
	import TopBar from '$lib/components/frame/TopBar.svelte';

	let { data, form } = $props();
</script>

<svelte:head><title>New bank · Kind Ember</title></svelte:head>
<TopBar />
<main class="mx-auto max-w-4xl p-4">
	<h1 class="mb-3">New bank</h1>
	<BankForm bank={null} cellTypes={data.cellTypes} settings={data.settings} refused={form} action="Make this bank" />
</main>
