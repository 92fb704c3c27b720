<script lang="ts">
	import { onMount } from 'svelte';
	import { page } from '$app/state';

	/** Between attempts to come back while the database is away, ms. */
	const AGAIN_MS = 3000;
	const isFull = $derived(page.error?.code === 'disk-full');
	const isAway = $derived(page.error?.code === 'database-away' || isFull);
	onMount(() => {
		if (!isAway) return;
		const timer = setTimeout(() => location.reload(), AGAIN_MS);
		return () => clearTimeout(timer);
	});
</script>

<svelte:head><title>{page.status} · Kind Ember</title></svelte:head>
<main class="mx-auto max-w-lg p-8">
	<h1>
		{page.status === 404
			? 'Not found'
			: isFull
				? 'The disk is full'
				: isAway
					? 'The database is away'
					: 'Something went wrong'}
	</h1>
	<p class="my-4">{page.error?.message}</p>
	{#if isAway}<p class="mb-4" role="status">This page comes back by itself.</p>{/if}
	<a class="btn btn-primary tap" href="/">Back to your banks</a>
</main>
