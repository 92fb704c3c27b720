<!-- The camera, until it has seen a code. -->
<script lang="ts">
	import { onMount } from 'svelte';
	import { watchForCodes } from '$lib/client/photos/camera-codes';
	import type { FoundCode } from '$lib/core/receive/identity';

	interface Props {
		onfound: (codes: FoundCode[]) => void;
		onclose: () => void;
	}
	let { onfound, onclose }: Props = $props();
	let video: HTMLVideoElement;
	let trouble = $state<string | null>(null);
	onMount(() => {
		const watch = watchForCodes(video);
		watch.found
			.then((codes) => codes && onfound(codes))
			.catch((error: unknown) => (trouble = error instanceof Error ? error.message : 'The camera did not start.'));
		return watch.stop;
	});
</script>

<div class="grid gap-2">
	{#if trouble}<p class="ember-text" role="alert">{trouble}</p>{/if}
	<video bind:this={video} class:hidden={trouble !== null} playsinline muted></video>
	<div class="flex flex-wrap items-center gap-3">
		<button class="btn tap" onclick={onclose}>Close the camera</button>
		{#if !trouble}<span class="muted"
				>Hold it flat above the code, near, without glare. Several at once are taken by rows.</span
			>{/if}
	</div>
</div>

<style>
	video {
		width: 100%;
		max-height: 60vh;
		background: var(--color-base-300);
		border-radius: 0.6rem;
		object-fit: contain;
	}
</style>
