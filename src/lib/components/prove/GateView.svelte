<script lang="ts">
	import { PROVE_CHECKS, PROVE_CHECK_NAMES, type ProveCheck } from '$lib/core/stages';
	import { warmestOf, type Warmth } from '$lib/core/shared';
	import type { StageVerdict } from '$lib/core/verdicts';

	interface Props {
		bankId: number;
		search: string;
		checks: Record<ProveCheck, boolean>;
		temporaryParts: readonly string[];
		verdicts: readonly StageVerdict[];
	}
	let { bankId, search, checks, temporaryParts, verdicts }: Props = $props();
	const WHERE: Record<ProveCheck, string> = {
		leads: 'build/leads',
		torques: 'build/joints',
		wiring: 'build/wiring',
		limits: 'limits',
		joints: 'prove/joints',
		bms: 'prove/bms',
		counters: 'prove/charge',
		capacity: 'prove/charge'
	};
	const CODES: Partial<Record<ProveCheck, readonly string[]>> = {
		joints: ['joint-loose', 'joints-unclear', 'joints-even'],
		bms: ['bms-misreads', 'bms-agrees'],
		counters: ['counters-disagree', 'counters-agree'],
		capacity: ['capacity-below-match', 'capacity-above-match', 'capacity-as-matched']
	};
	const found = (check: ProveCheck): { warmth: Warmth; title: string } | null => {
		const own = verdicts.filter((v) => CODES[check]?.includes(v.code));
		return own.length ? { warmth: warmestOf(own), title: own[0]!.title } : null;
	};
</script>

<section class="sheet p-4" aria-label="The gate">
	{#if temporaryParts.length}<p class="ember-text font-semibold">
			Shut: {temporaryParts.join(', ')} still in.
			<a class="link" href="/banks/{bankId}/build/parts{search}">Take it out</a>
		</p>{/if}
	<ul>
		{#each PROVE_CHECKS as check (check)}
			{@const result = found(check)}
			<li data-warmth={result?.warmth ?? 'calm'}>
				<a class="tap" href="/banks/{bankId}/{WHERE[check]}{search}">
					<span class="state" class:open={!checks[check]} aria-hidden="true">{checks[check] ? '✓' : ''}</span>
					<span>
						<strong>{PROVE_CHECK_NAMES[check]}</strong>
						<span class="muted block">{checks[check] ? (result?.title ?? 'checked') : 'not checked'}</span>
					</span>
				</a>
			</li>
		{/each}
	</ul>
	<p class="muted mt-3">
		A check that was made can have come out badly: its verdict says so. What this list does not hold is yours: covers
		over every terminal, labels, each BMS trip made to happen, and the code where you live.
	</p>
</section>

<style>
	li {
		border-bottom: 1px solid var(--line);
	}
	a.tap {
		display: grid;
		grid-template-columns: 2.2rem 1fr;
		align-items: center;
		gap: 0.6rem;
		padding: 0.45rem 0;
	}
	.state {
		display: grid;
		place-items: center;
		width: 1.9rem;
		height: 1.9rem;
		border-radius: 0.4rem;
		background: var(--color-base-content);
		color: var(--color-base-100);
		font-weight: 700;
	}
	.state.open {
		background: none;
		border: 1.5px dashed var(--color-base-content);
	}
	li[data-warmth='look'] .muted,
	li[data-warmth='stop'] .muted {
		color: var(--ember-text);
		font-weight: 700;
	}
</style>
