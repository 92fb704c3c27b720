<script lang="ts">
	import { PROVE_CHECKS, PROVE_CHECK_NAMES, type CheckState, type ProveCheck } from '$lib/core/prove/state';
	import type { StageVerdict } from '$lib/core/foundation/verdicts';

	interface Props {
		bankId: number;
		search: string;
		checks: Record<ProveCheck, CheckState>;
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
	const MARKS: Record<CheckState, string> = { open: '', checked: '✓', wrong: '!' };
	const WORDS: Record<CheckState, string> = { open: 'not checked', checked: 'checked', wrong: 'came out badly' };
	const found = (check: ProveCheck) => verdicts.find((v) => CODES[check]?.includes(v.code))?.title ?? null;
</script>

<section class="sheet p-4" aria-label="The gate">
	{#if temporaryParts.length}<p class="ember-text font-semibold">
			Shut: {temporaryParts.join(', ')} still in.
			<a class="link" href="/banks/{bankId}/build/parts{search}">Take it out</a>
		</p>{/if}
	<ul>
		{#each PROVE_CHECKS as check (check)}
			{@const state = checks[check]}
			<li>
				<a class="tap" href="/banks/{bankId}/{WHERE[check]}{search}">
					<span class="state {state}" aria-hidden="true">{MARKS[state]}</span>
					<span>
						<strong>{PROVE_CHECK_NAMES[check]}</strong>
						<span class="muted found {state} block"
							>{WORDS[state]}{found(check) && state !== 'open' ? `: ${found(check)}` : ''}</span
						>
					</span>
				</a>
			</li>
		{/each}
	</ul>
	<p class="muted mt-3">
		What this list does not hold is yours: covers over every terminal, labels, each BMS trip made to happen, and the
		code where you live.
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
	.state.wrong {
		background: var(--stop);
		color: var(--color-base-100);
	}
	.found.wrong {
		color: var(--ember-text);
		font-weight: 700;
	}
</style>
