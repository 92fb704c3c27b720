<script lang="ts">
	import '../app.css';
	import { onMount } from 'svelte';
	import { Toaster } from 'svelte-sonner';
	import { browser } from '$app/environment';
	import { afterNavigate } from '$app/navigation';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { followOtherTabs } from '$lib/client/tabs/other-tabs';
	import { page } from '$app/state';
	import DueAlarm from '$lib/components/frame/DueAlarm.svelte';
	import SignKey from '$lib/components/frame/SignKey.svelte';
	import { onceATap } from '$lib/client/entry/once-a-tap';
	import { keepTyped, putTypedBack } from '$lib/client/entry/typed-stays';
	import LiveAlarm from '$lib/components/frame/LiveAlarm.svelte';

	let { data, children } = $props();

	afterNavigate(() => void putTypedBack());
	onMount(() => {
		document.documentElement.dataset.awake = 'yes';
		const shown = (event: PageTransitionEvent) => void (event.persisted && lookAgain());
		window.addEventListener('pageshow', shown);
		const ends = [
			followOtherTabs(() => void lookAgain()),
			onceATap(document),
			keepTyped(document),
			() => window.removeEventListener('pageshow', shown)
		];
		return () => ends.forEach((end) => end());
	});
	$effect(() => {
		if (browser) document.documentElement.dataset.theme = data.settings.theme;
	});
</script>

{@render children()}
{#if data.isLive}<LiveAlarm bankId={page.route.id?.startsWith('/banks/[id]') ? Number(page.params.id) : null} />{/if}
<DueAlarm />
<SignKey />
<Toaster
	position="bottom-right"
	theme={data.settings.theme === 'coal' ? 'dark' : 'light'}
	closeButton
	expand
	toastOptions={{
		style: 'font-family: inherit; font-size: 1rem',
		actionButtonStyle: 'height: 2.75rem; padding: 0 1rem; font-size: 1rem'
	}}
/>
