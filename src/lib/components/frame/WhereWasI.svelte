<script lang="ts">
	import { onMount } from 'svelte';
	import { api } from '$lib/client/api/api';
	import type { AnswerFor } from '$lib/client/api/api-shapes';
	import { STAGE_NAMES, type Stage } from '$lib/core/foundation/verdicts';
	import { formatDuration } from '$lib/core/foundation/units';

	let { bankId }: { bankId: number } = $props();
	/** Who comes back sooner knows. */
	const A_PAUSE_MS = 8 * 3600e3;
	let left = $state<AnswerFor<'get', `banks/${number}/where-was-i`> | null>(null);
	const key = () => `kind-ember-where-${bankId}`;

	onMount(async () => {
		if (sessionStorage.getItem(key())) return;
		// Nobody is held up by it: where it does not come, nothing is missing.
		const found = await api.get(`banks/${bankId}/where-was-i`).catch(() => null);
		if (found?.lastWorkedAt && Date.now() - Date.parse(found.lastWorkedAt) > A_PAUSE_MS) left = found;
		else sessionStorage.setItem(key(), 'known');
	});
	function goOn() {
		sessionStorage.setItem(key(), 'known');
		left = null;
	}
</script>

{#if left}
	<section class="left sheet no-print" aria-label="Where was I?">
		<div class="min-w-0">
			<h2>
				Where was I? <span class="muted font-normal"
					>last worked on {formatDuration((Date.now() - Date.parse(left.lastWorkedAt!)) / 1000)} ago</span
				>
			</h2>
			<p>{left.lines.join(' ')}</p>
			{#if left.next}<p class="mt-1"><strong>Next:</strong> {left.next.title}. {left.next.act}</p>{/if}
		</div>
		<div class="flex flex-wrap gap-2">
			{#if left.next}<a class="btn btn-primary tap" href="/banks/{bankId}/{left.next.stage}" onclick={goOn}
					>Go to {STAGE_NAMES[left.next.stage as Stage]}</a
				>{/if}
			<button class="btn tap" onclick={goOn}>I know</button>
		</div>
	</section>
{/if}

<style>
	.left {
		display: flex;
		flex-wrap: wrap;
		align-items: center;
		justify-content: space-between;
		gap: 0.75rem;
		margin: 0.75rem 1.25rem 0;
		padding: 0.75rem 1rem;
	}
	@media (max-width: 640px) {
		.left {
			margin-inline: 0.75rem;
		}
	}
</style>
