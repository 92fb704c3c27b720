<script lang="ts">
	import ChargeView from '$lib/components/balance/ChargeView.svelte';
	import LinksView from '$lib/components/balance/LinksView.svelte';
	import MethodView from '$lib/components/balance/MethodView.svelte';
	import VesselsView from '$lib/components/balance/VesselsView.svelte';
	import StageViews from '$lib/components/frame/StageViews.svelte';

	let { data } = $props();
	const VIEWS = [
		{ view: 'charge', name: 'Side by side' },
		{ view: 'method', name: 'Which method' },
		{ view: 'links', name: 'Links off' },
		{ view: 'vessels', name: 'Vessels' }
	] as const;
</script>

{#snippet views()}
	<StageViews base="/banks/{data.overview.bank.id}/balance" active={data.view} views={VIEWS} />
{/snippet}
{#if data.view === 'method'}<MethodView {data} {views} />
{:else if data.view === 'links'}<LinksView {data} {views} />
{:else if data.view === 'vessels'}<VesselsView {data} {views} />
{:else}<ChargeView {data} {views} />{/if}
