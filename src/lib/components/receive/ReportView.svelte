<script lang="ts">
	import type { ClaimReason } from '$lib/core/receive/claim';
	import type { Snippet } from 'svelte';
	import { api } from '$lib/client/api/api';
	import { settingApart } from '$lib/client/entry/set-apart';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import { formatDate } from '$lib/core/foundation/units';
	import type { DeliveryReport } from '$lib/server/stages/receive/delivery-report';
	import DeliveryChoice from './DeliveryChoice.svelte';
	import type { ReceiveData } from './receive-data';
	import { OUTCOME_WORDS, tickWords } from './report-words';

	let { data, views }: { data: ReceiveData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const style = $derived(data.settings.dateStyle);
	let index = $state(0);
	const tray = $derived(data.trays[Math.min(index, data.trays.length - 1)] ?? null);
	let report = $state<DeliveryReport | null>(null);
	let trouble = $state<string | null>(null);
	$effect(() => {
		const id = tray?.delivery.id;
		// Whatever is judged anew is reported anew.
		void data.verdicts;
		if (id === undefined) return;
		void (api.get(`deliveries/${id}/report`) as Promise<unknown>)
			.then((found) => {
				if (tray?.delivery.id !== id) return;
				report = found as DeliveryReport;
				trouble = null;
			})
			.catch((error: unknown) => (trouble = error instanceof Error ? error.message : 'The report could not be made.'));
	});
	const CLAIMED: Record<Exclude<ClaimReason, 'short'>, string> = {
		stop: 'must not be used',
		damaged: 'damaged',
		older: 'older than promised',
		'other-kind': 'not of the kind ordered',
		resistance: 'more resistance than promised'
	};
	const claimed = $derived(report?.cells.filter((c) => c.claimed) ?? []);
	const open = $derived(report?.cells.filter((c) => !c.claimed && c.notClaimed) ?? []);
	/** Nothing is known of them but that they were not tested: one line. */
	const plain = $derived(
		open.filter(
			(c) => c.capacityAh === null && c.strip.every((t) => t.state === 'kept') && c.notClaimed === 'Not tested.'
		)
	);
	const good = $derived(report?.cells.filter((c) => !c.claimed && !c.notClaimed) ?? []);
	const ah = (value: number | null, sd: number | null) =>
		value === null ? 'not tested' : `${value.toFixed(1)} ± ${(1.96 * (sd ?? 0)).toFixed(1)} Ah`;
</script>

<StagePage
	title="What is claimed, and what is not?"
	subtitle={tray ? tray.delivery.name : 'nothing unpacked yet'}
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'receive')}
>
	{@render views()}
	{#if tray}<DeliveryChoice trays={data.trays} bind:index />{/if}
	{#if trouble}<p class="ember-text">{trouble}</p>{/if}
	{#if report}
		<article class="sheet grid gap-4 p-5">
			<header>
				<p class="text-2xl font-bold">{report.sentence}</p>
				<p class="muted">
					{report.delivery.name}{report.delivery.supplier ? `, ${report.delivery.supplier}` : ''}, came {formatDate(
						report.delivery.receivedOn,
						style
					)}{report.cellType ? `; ${report.cells.length} × ${report.cellType.name}` : ''}{report.wanted
						? `, held against ${report.wanted.capacityAh} Ah${report.wanted.clause ? ` (${report.wanted.clause})` : ', its rating'}`
						: ''}.
				</p>
			</header>
			{#if claimed.length}
				<section>
					<h2>Claimed</h2>
					<ul class="cells">
						{#each claimed as c (c.id)}
							<li>
								<strong>{c.label}</strong>
								<span class="figure">{ah(c.capacityAh, c.sdAh)}</span>
								<span
									>{c.claimed?.why === 'short'
										? `at least ${c.claimed.shortAh.toFixed(1)} Ah below the promise`
										: CLAIMED[c.claimed!.why]}{c.code ? `; code ${c.code}` : ''}</span
								>
								<span class="muted">{[...c.found, ...c.strip.map(tickWords)].filter(Boolean).join(' · ')}</span>
								{#if c.photos.length}<span class="flex gap-1"
										>{#each c.photos as p (p.id)}<img
												src="/api/v1/attachments/{p.id}/content?size=small"
												alt="{c.label}: {p.name}"
											/>{/each}</span
									>{/if}
							</li>
						{/each}
					</ul>
					<p>
						In all at least <strong class="figure">{report.shortAh.toFixed(1)} Ah</strong> below the promise (95 %){report.worth ===
						null
							? '; enter what one cell cost (Order) for its worth'
							: `, and with the cells that must not be used worth ${report.worth.toFixed(2)} ${report.currency} at the price paid`}.
					</p>
				</section>
			{/if}
			{#if open.length}
				<section>
					<h2>Not claimed</h2>
					<ul class="cells">
						{#if plain.length}<li>
								<strong>{plain.map((c) => c.label).join(', ')}</strong>
								<span class="figure">not tested</span>
							</li>{/if}
						{#each open.filter((c) => !plain.includes(c)) as c (c.id)}<li>
								<strong>{c.label}</strong>
								<span class="figure">{ah(c.capacityAh, c.sdAh)}</span>
								<span>{c.notClaimed}</span>
								{#if c.strip.some((t) => t.state !== 'kept')}<span class="muted"
										>{c.strip
											.filter((t) => t.state !== 'kept')
											.map(tickWords)
											.join(' · ')}</span
									>{/if}
							</li>{/each}
					</ul>
				</section>
			{/if}
			{#if good.length}
				<section>
					<h2>Good</h2>
					<p>
						{#each good as c, i (c.id)}{i ? ', ' : ''}<strong>{c.label}</strong>
							{ah(c.capacityAh, c.sdAh)}{c.outcome ? ` (${OUTCOME_WORDS[c.outcome]})` : ''}{/each}.
					</p>
				</section>
			{/if}
			<footer class="muted grid gap-1">
				<p>± is 95 %. {report.method}</p>
				{#if report.claimUntil}<p>
						To be told to the supplier by <strong>{formatDate(report.claimUntil, style)}</strong>; their terms and the
						law come first.
					</p>{/if}
			</footer>
			<div class="no-print flex flex-wrap gap-2">
				<button class="btn btn-primary tap" onclick={() => window.print()}>Print it</button>
				<a
					class="btn tap"
					href="/api/v1/deliveries/{report.delivery.id}/report"
					download="delivery-{report.delivery.id}.json">As JSON</a
				>
			</div>
		</article>
	{:else if !tray}<p>Unpack a delivery first (Readings).</p>{/if}
</StagePage>

<style>
	.cells {
		display: grid;
		gap: 0.5rem;
	}
	.cells li {
		display: grid;
		grid-template-columns: 6rem 10rem minmax(0, 1fr);
		gap: 0 1rem;
		border-top: 1px solid var(--line);
		padding-top: 0.4rem;
	}
	.cells li > .muted,
	.cells li > .flex {
		grid-column: 2 / -1;
	}
	img {
		height: 4rem;
		border-radius: 0.4rem;
	}
	@media (max-width: 640px) {
		.cells li {
			grid-template-columns: auto 1fr;
		}
		.cells li > :nth-child(n + 3) {
			grid-column: 1 / -1;
		}
	}
</style>
