<script lang="ts">
	import BarsView from '$lib/components/balance/charge/BarsView.svelte';
	import ChargeView from '$lib/components/balance/charge/ChargeView.svelte';
	import LinksView from '$lib/components/balance/LinksView.svelte';
	import JoinView from '$lib/components/balance/JoinView.svelte';
	import MethodView from '$lib/components/balance/MethodView.svelte';
	import StepsView from '$lib/components/balance/steps/StepsView.svelte';
	import VesselsView from '$lib/components/balance/VesselsView.svelte';
	import StageViews from '$lib/components/frame/StageViews.svelte';

	let { data } = $props();
	const VIEWS = [
		{ view: 'charge', name: 'Side by side' },
		{ view: 'method', name: 'Which method' },
		{ view: 'steps', name: 'Step by step' },
		{ view: 'join', name: 'Safe to join' },
		{ view: 'bars', name: 'Bars' },
		{ view: 'links', name: 'Links off' },
		{ view: 'vessels', name: 'Vessels' }
	] as const;
</script>

{#snippet views()}
	<StageViews base="/banks/{data.overview.bank.id}/balance" active={data.view} views={VIEWS} />
{/snippet}
{#if data.view === 'method'}<MethodView {data} {views} />
{:else if data.view === 'steps'}<StepsView {data} {views} />
{:else if data.view === 'join'}<JoinView {data} {views} />
{:else if data.view === 'bars'}<BarsView {data} {views} />
{:else if data.view === 'links'}<LinksView {data} {views} />
{:else if data.view === 'vessels'}<VesselsView {data} {views} />
{:else}<ChargeView {data} {views} />{/if}
