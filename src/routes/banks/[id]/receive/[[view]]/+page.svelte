<script lang="ts">
	import StageViews from '$lib/components/frame/StageViews.svelte';
	import CodesView from '$lib/components/receive/look/CodesView.svelte';
	import LookView from '$lib/components/receive/look/LookView.svelte';
	import ModulesView from '$lib/components/receive/ModulesView.svelte';
	import OrderView from '$lib/components/receive/order/OrderView.svelte';
	import ReadingsView from '$lib/components/receive/readings/ReadingsView.svelte';
	import ReportView from '$lib/components/receive/ReportView.svelte';

	let { data, form } = $props();
</script>

{#snippet views()}
	<StageViews
		base="/banks/{data.overview.bank.id}/receive"
		active={data.view}
		views={[
			{ view: 'readings', name: 'Readings' },
			{ view: 'look', name: 'Look' },
			{ view: 'codes', name: 'Codes' },
			{ view: 'order', name: 'Order' },
			...(data.trays.some((t) => t.modules.length) ? [{ view: 'modules' as const, name: 'Modules' }] : []),
			{ view: 'report', name: 'Report' }
		]}
	/>
{/snippet}

{#if data.view === 'readings'}<ReadingsView {data} {views} />
{:else if data.view === 'look'}<LookView {data} {views} />
{:else if data.view === 'codes'}<CodesView {data} {views} />
{:else if data.view === 'order'}<OrderView {data} {views} refused={form} />
{:else if data.view === 'modules'}<ModulesView {data} {views} />
{:else}<ReportView {data} {views} />{/if}
