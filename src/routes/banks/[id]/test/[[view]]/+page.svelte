<script lang="ts">
	import StageViews from '$lib/components/frame/StageViews.svelte';
	import LoadsView from '$lib/components/test/LoadsView.svelte';
	import NotesView from '$lib/components/test/NotesView.svelte';
	import QueueView from '$lib/components/test/queue/QueueView.svelte';
	import ResultsView from '$lib/components/test/ResultsView.svelte';
	import WitnessView from '$lib/components/test/WitnessView.svelte';

	let { data, form } = $props();
</script>

{#snippet views()}
	<StageViews
		base="/banks/{data.overview.bank.id}/test"
		active={data.view}
		views={[
			{ view: 'results', name: 'Results' },
			{ view: 'notes', name: 'Notes' },
			{ view: 'queue', name: 'Queue' },
			{ view: 'witnesses', name: 'Witnesses' },
			{ view: 'loads', name: 'Loads' }
		]}
	/>
{/snippet}

{#if data.view === 'results'}<ResultsView {data} {form} {views} />
{:else if data.view === 'notes'}<NotesView {data} {views} />
{:else if data.view === 'queue'}<QueueView {data} {views} />
{:else if data.view === 'witnesses'}<WitnessView {data} {views} />
{:else}<LoadsView {data} {views} />{/if}
