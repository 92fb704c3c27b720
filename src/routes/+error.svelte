<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head><title>{page.status} · Kind Ember</title></svelte:head>
<main class="mx-auto max-w-lg p-8">
	<h1>{page.status === 404 ? 'Not found' : 'Something went wrong'}</h1>
	<p class="my-4">{page.error?.message}</p>
	<a class="btn btn-primary tap" href="/">Back to your banks</a>
</main>
