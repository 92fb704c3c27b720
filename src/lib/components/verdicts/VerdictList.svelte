<script lang="ts">
	import { WARMTH_WORDS } from './warmth-words';
	import { page } from '$app/state';
	import { warmestFirst } from '$lib/core/foundation/verdicts';
	import { cellsOf, type ShownVerdict } from '$lib/core/foundation/verdicts';
	import { inOwnStyle } from '$lib/client/settings/own-style';
	import { remedyOf } from './remedy';

	interface Props {
		verdicts: ShownVerdict[];
		/** Shown when there is nothing to say. */
		empty?: string;
		onpick?: (cellId: number) => void;
		/** Sets a verdict apart (with a reason), or lets it glow again (without). Missing where that cannot be. */
		onsetapart?: (verdict: ShownVerdict, reason: string | null) => void;
	}
	let { verdicts, empty = 'Nothing checked yet.', onpick, onsetapart }: Props = $props();
	/** Shown at first: the warmest. A crate of a thousand cells has as many verdicts. */
	const AT_FIRST = 30;
	let all = $state(false);
	let reasons = $state<Record<string, string>>({});
	const keyOf = (v: ShownVerdict) => `${v.code} ${v.subject?.kind} ${v.subject?.id}`;
	const cells = (v: ShownVerdict) => cellsOf(v);
	const canSetApart = (v: ShownVerdict) =>
		onsetapart !== undefined && Boolean(v.subject) && (v.warmth === 'look' || v.warmth === 'stop');

	/** Where a stop of this bank is mended. */
	const remedy = (v: ShownVerdict) =>
		page.route.id?.startsWith('/banks/[id]') ? remedyOf(v, Number(page.params.id), page.url.pathname) : null;
	/** Dates in sentences follow the settings. */
	const ordered = $derived(warmestFirst(verdicts));
	const shown = $derived(all ? ordered : ordered.slice(0, AT_FIRST));
</script>

<ol class="grid gap-3" aria-label="Verdicts, most urgent first">
	{#each shown as verdict, i (verdict.code + verdict.title + i)}
		<li class="verdict sheet" data-warmth={verdict.warmth} data-code={verdict.code}>
			{#if WARMTH_WORDS[verdict.warmth]}<p
					class="text-sm font-bold {verdict.warmth === 'open' ? 'muted' : 'ember-text'}"
				>
					{WARMTH_WORDS[verdict.warmth]}
				</p>{/if}
			<h3 class="font-bold leading-snug">{inOwnStyle(verdict.title)}</h3>
			<p class="mt-1 text-[0.95rem] leading-snug">{inOwnStyle(verdict.finding)}</p>
			{#if verdict.doubt && verdict.warmth !== 'calm'}<p class="mt-1 text-sm leading-snug muted">
					{inOwnStyle(verdict.doubt)}
				</p>{/if}
			{#if verdict.setApart}<p class="mt-1 text-sm leading-snug">
					<span class="font-semibold">Acknowledged:</span>
					{verdict.setApart}
				</p>{/if}
			{#if verdict.next}<p class="mt-2 font-semibold leading-snug">{inOwnStyle(verdict.next)}</p>{/if}
			{#if remedy(verdict)}<a class="btn tap mt-2" href={remedy(verdict)!.href}>{remedy(verdict)!.text}</a>{/if}
			<details class="mt-1 text-sm muted">
				<summary class="tap flex cursor-pointer items-center underline decoration-dotted underline-offset-4"
					>{verdict.warmth === 'calm' && verdict.doubt
						? 'How this was decided'
						: canSetApart(verdict)
							? 'How this was decided, acknowledge'
							: 'How this was decided'}</summary
				>
				{#if verdict.doubt && verdict.warmth === 'calm'}<p class="mb-1">
						<span class="font-semibold">How sure:</span>
						{inOwnStyle(verdict.doubt)}
					</p>{/if}
				<p><span class="font-semibold">Rule:</span> {inOwnStyle(verdict.rule)}</p>
				{#if onsetapart && verdict.setApart}
					<button class="btn tap mt-2" onclick={() => onsetapart(verdict, null)}>Reopen</button>
				{:else if onsetapart && canSetApart(verdict)}
					<form
						class="mt-2 grid gap-2"
						onsubmit={(event) => {
							event.preventDefault();
							onsetapart(verdict, reasons[keyOf(verdict)] ?? '');
						}}
					>
						<label class="grid gap-1"
							>Acknowledge, because
							<input class="input tap w-full" maxlength="400" required bind:value={reasons[keyOf(verdict)]} /></label
						>
						<div>
							<button class="btn tap" disabled={!reasons[keyOf(verdict)]?.trim()}>Acknowledge with a reason</button>
						</div>
						<p>It stays acknowledged until its figures change. Nothing is done to the cell.</p>
					</form>
				{/if}
			</details>
			{#if onpick && cells(verdict).length === 1 && verdict.warmth !== 'calm'}
				<button class="btn btn-primary tap mt-1" onclick={() => onpick(cells(verdict)[0]!)}>Go to this cell</button>
			{/if}
		</li>
	{:else}
		<li class="muted">{empty}</li>
	{/each}
</ol>
{#if !all && ordered.length > AT_FIRST}<button class="btn tap mt-3" onclick={() => (all = true)}
		>Show all {ordered.length}</button
	>{/if}

<style>
	.verdict {
		padding: 0.8rem 1rem;
		position: relative;
	}
	.verdict[data-warmth='open'] {
		border-color: var(--ember-soft);
	}
	.verdict[data-warmth='look'] {
		border-color: var(--ember);
		box-shadow: 0 0 14px -2px color-mix(in oklch, var(--ember) 45%, transparent);
	}
	.verdict[data-warmth='stop'] {
		border: 2px solid var(--stop);
		box-shadow: 0 0 22px 0 color-mix(in oklch, var(--stop) 60%, transparent);
	}
</style>
