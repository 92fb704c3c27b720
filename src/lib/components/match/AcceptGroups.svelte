<!-- Groups on the board become the battery’s; what speaks against them is said, and a reason for building them all the same is asked for. -->
<script lang="ts">
	import { announce, attempt } from '$lib/client/entry/announce';
	import { ApiProblem, api } from '$lib/client/api/api';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import type { Arrangement } from './arrangement';

	interface Props {
		bankId: number;
		/** Not accepted yet; null: as they are placed. */
		arrangement: Arrangement | null;
		/** Ids of the placements these replace. */
		replaces: number[];
		/** When those were placed, as it is shown; null: not all are. */
		placedOn: string | null;
		onaccepted: () => void;
	}
	let { bankId, arrangement, replaces, placedOn, onaccepted }: Props = $props();
	/** Why these should not be built in series, as the server has it; and why they are all the same. */
	let refusal = $state.raw<{ of: Arrangement; why: string } | null>(null);
	const refused = $derived(refusal && refusal.of === arrangement ? refusal.why : null);
	let despite = $state('');

	async function accept() {
		if (!arrangement) return;
		const asked = arrangement;
		const body = { groups: $state.snapshot(asked.groups), replaces, despite: despite.trim() || null };
		refusal = null;
		const done = await attempt(async () => {
			try {
				await api.post(`banks/${bankId}/match`, body);
			} catch (error) {
				if (!(error instanceof ApiProblem && error.code === 'should-not-be-built')) throw error;
				refusal = { of: asked, why: error.message };
			}
		});
		if (!done || refusal) return;
		despite = '';
		announce('Placements recorded with today’s date.');
		onaccepted();
		await lookAgain();
	}
</script>

{#if refused}
	<section class="sheet mt-4 grid gap-2 p-4" aria-label="Should not be built">
		<h2 class="ember-text">These should not be in series</h2>
		<p>{refused}</p>
		<p class="muted">The reason stays on the battery, and is said as long as this is so.</p>
		<label class="field-label" for="despite">Built all the same, because</label>
		<textarea id="despite" class="textarea w-full" rows="2" maxlength="400" bind:value={despite}></textarea>
	</section>
{/if}
<div class="mt-4 flex flex-wrap items-center gap-3">
	{#if arrangement}<button class="btn btn-primary tap" onclick={accept}
			>{refused && despite.trim() ? 'Build them all the same' : 'Accept these groups'}</button
		>{:else if placedOn}<p>Placed {placedOn}.</p>
		<a class="btn btn-primary tap" href="/banks/{bankId}/balance">On to Balance</a>{/if}
</div>
