<script lang="ts">
	import { enhance } from '$app/forms';
	import { formKept } from '$lib/client/entry/form-kept';
	import TopBar from '$lib/components/frame/TopBar.svelte';
	import { formatDateTime } from '$lib/core/foundation/units';

	let { data } = $props();
</script>

<svelte:head><title>Taken out · Kind Ember</title></svelte:head>
<TopBar />
<main class="mx-auto max-w-3xl p-4">
	<h1>Taken out</h1>
	<p class="muted mb-4">Nothing that was recorded is gone for good: it comes back from here, with everything it had.</p>
	{#if data.records.length === 0}
		<p class="sheet p-4">Nothing has been taken out.</p>
	{:else}
		<ul class="sheet px-4">
			{#each data.records as record (`${record.kind} ${record.id}`)}
				<li>
					<span class="min-w-0">
						<strong class="block break-words">{record.called}</strong>
						<span class="muted"
							>{record.what}{record.of ? ` of ${record.of}` : ''}, {formatDateTime(
								record.takenOutAt,
								data.settings.dateStyle
							)}</span
						>
					</span>
					<form method="POST" action="?/back" use:enhance={formKept()}>
						<input type="hidden" name="kind" value={record.kind} />
						<input type="hidden" name="id" value={record.id} />
						<button class="btn tap" aria-label="Bring back {record.what} {record.called}">Bring it back</button>
					</form>
				</li>
			{/each}
		</ul>
	{/if}
</main>

<style>
	li {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		justify-content: space-between;
		gap: 0.6rem;
		padding: 0.5rem 0;
		border-bottom: 1px solid var(--line);
	}
	li:last-child {
		border-bottom: none;
	}
</style>
