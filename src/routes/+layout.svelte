<script lang="ts">
	import '../app.css';
	import { Toaster } from 'svelte-sonner';
	import { browser } from '$app/environment';

	let { data, children } = $props();

	$effect(() => {
		if (browser) document.documentElement.dataset.theme = data.settings.theme;
	});
</script>

{@render children()}
<Toaster position="bottom-center" theme={data.settings.theme === 'coal' ? 'dark' : 'light'} closeButton />
