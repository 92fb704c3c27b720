<script lang="ts">
	import { inOwnStyle } from '$lib/client/settings/own-style';
	import type { BalanceState } from '$lib/core/balance/state';

	interface Props {
		/** The row before it is planned. */
		balance: Pick<BalanceState, 'stopped' | 'join'>;
	}
	let { balance }: Props = $props();
	const join = $derived(balance.join?.verdict);
</script>

{#if balance.stopped.length}
	<p class="sheet p-4" data-warmth="stop">
		<strong>{balance.stopped.map((c) => c.label).join(', ')} must not be charged with the others.</strong>
		{balance.stopped.map((c) => c.why).join('. ')}. Leave it out, or say in Receive what became of it.
	</p>
{/if}
{#if join && join.code !== 'join-checked'}
	<p class="sheet p-4" data-warmth={join.warmth}>
		<strong>{inOwnStyle(join.title)}.</strong>
		{inOwnStyle(join.finding)}
		{join.next ?? ''}
	</p>
{/if}

<style>
	.sheet[data-warmth='open'] {
		border-color: var(--ember-soft);
	}
	.sheet[data-warmth='look'] {
		border-color: var(--ember);
	}
	.sheet[data-warmth='stop'] {
		border: 2px solid var(--stop);
	}
</style>
