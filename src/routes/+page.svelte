<script lang="ts">
	import { goto } from '$app/navigation';
	import { announce, attempt } from '$lib/client/announce';
	import { api } from '$lib/client/api';
	import MiniTray from '$lib/components/bank/MiniTray.svelte';
	import RunningStrip from '$lib/components/frame/RunningStrip.svelte';
	import TopBar from '$lib/components/frame/TopBar.svelte';
	import { STAGE_NAMES } from '$lib/core/planning';

	let { data } = $props();
	const real = $derived(data.overviews.filter((o) => !o.bank.rehearsal));
	const rehearsals = $derived(data.overviews.filter((o) => o.bank.rehearsal));
	const running = $derived(data.overviews.filter((o) => o.running.length));
	const needing = $derived(real.filter((o) => o.warmth === 'look' || o.warmth === 'stop').length);
	let fileInput: HTMLInputElement;

	async function importFile() {
		const file = fileInput.files?.[0];
		if (!file) return;
		await attempt(async () => {
			let body: unknown;
			try {
				body = JSON.parse(await file.text());
			} catch {
				body = {};
			}
			const bank = await api.post<{ id: number; name: string }>('banks/import', body);
			announce(`${bank.name} is here, with everything that was in the file.`);
			await goto(`/banks/${bank.id}/plan`);
		});
		fileInput.value = '';
	}
</script>

{#snippet bankList(list: typeof data.overviews)}
	<ul class="grid gap-4">
		{#each list as { bank, cellType, current, needs, warmth, stages } (bank.id)}
			{@const first = needs.find((n) => n.warmth !== 'calm')}
			<li class="sheet bank" data-warmth={warmth}>
				<a href="/banks/{bank.id}/{current}" class="block">
					<h2>{bank.name}</h2>
					<p class="muted">
						{#if bank.rehearsal}<span class="rehearsal-mark mr-1 px-1">Rehearsal</span>{/if}{bank.bankUse === 'other'
							? ''
							: bank.bankUse}{cellType ? `${bank.bankUse === 'other' ? '' : ' · '}${cellType.name}` : ''}
					</p>
					<p class="figure my-2">{bank.series}S{bank.parallel}P{bank.batteries > 1 ? ` × ${bank.batteries}` : ''}</p>
					<MiniTray series={bank.series} parallel={bank.parallel} batteries={bank.batteries} />
				</a>
				<div class="min-w-0">
					<p>Stage <strong>{STAGE_NAMES[current]}</strong></p>
					<ol class="my-2 flex flex-wrap gap-x-3 text-sm muted">
						{#each stages.filter((s) => s.available) as s (s.stage)}<li>
								{s.done ? '✓ ' : ''}{STAGE_NAMES[s.stage]}
							</li>{/each}
					</ol>
					{#if first}
						<p class="text-sm font-bold ember-text">
							{first.warmth === 'stop' ? 'Stop' : first.warmth === 'look' ? 'Look at this' : 'Still open'}
						</p>
						<p class="font-bold">{first.title}</p>
						<p>{first.next ?? first.finding}</p>
						{#if needs.filter((n) => n.warmth !== 'calm').length > 1}<p class="text-sm muted">
								and {needs.filter((n) => n.warmth !== 'calm').length - 1} more
							</p>{/if}
					{:else}<p class="muted">Nothing needs you.</p>{/if}
				</div>
				<a
					class="btn tap self-center {first && first.warmth !== 'open' ? 'btn-primary' : ''}"
					href="/banks/{bank.id}/{first?.stage ?? current}"
					aria-label="Go on with {bank.name}">{first ? `Go to ${STAGE_NAMES[first.stage]}` : 'Open'}</a
				>
			</li>
		{/each}
	</ul>
{/snippet}

<svelte:head><title>Your banks · Kind Ember</title></svelte:head>
<TopBar />
<main class="mx-auto max-w-5xl p-4">
	<header class="mb-4 flex flex-wrap items-center justify-between gap-3">
		<div>
			<h1>Your banks</h1>
			<p class="muted">
				{real.length === 0
					? 'None yet.'
					: needing
						? `${needing} of ${real.length} need you.`
						: 'Nothing needs you now.'}
			</p>
		</div>
		<div class="flex flex-wrap gap-2">
			<button class="btn tap" onclick={() => fileInput.click()}>Bring in a bank file</button>
			<input
				bind:this={fileInput}
				type="file"
				accept=".json,application/json"
				class="hidden"
				onchange={importFile}
				aria-label="Bank file"
			/>
			<a class="btn tap" href="/rehearse">Rehearse on simulated cells</a>
			<a class="btn btn-primary tap" href="/banks/new">New bank</a>
		</div>
	</header>
	{#if running.length}
		<section class="sheet mb-4 px-4 py-2" aria-label="Running now">
			{#each running as o (o.bank.id)}<RunningStrip running={o.running} bankName={o.bank.name} />{/each}
		</section>
	{/if}
	{#if real.length === 0}
		<section class="sheet p-8">
			<h2>Start with a bank</h2>
			<p class="mt-2 max-w-prose">
				Give it a name, say how many cells sit in series and in parallel, and which cells you bought. Then unpack the
				crate: the tray waits for your first reading.
			</p>
			<div class="mt-4 flex flex-wrap gap-3">
				<a class="btn btn-primary tap" href="/banks/new">Make the first bank</a>
				<a class="btn tap" href="/rehearse">Rehearse on simulated cells first</a>
			</div>
		</section>
	{/if}
	{@render bankList(real)}
	{#if rehearsals.length}
		<h2 class="mt-8 mb-3">Rehearsals</h2>
		{@render bankList(rehearsals)}
	{/if}
</main>

<style>
	.bank {
		display: grid;
		grid-template-columns: 16rem minmax(0, 1fr) auto;
		gap: 1.25rem;
		padding: 1rem 1.25rem;
	}
	.bank[data-warmth='look'] {
		border-color: var(--ember);
		box-shadow: 0 0 14px -2px color-mix(in oklch, var(--ember) 40%, transparent);
	}
	.bank[data-warmth='stop'] {
		border: 2px solid var(--stop);
		box-shadow: 0 0 22px 0 color-mix(in oklch, var(--stop) 50%, transparent);
	}
	@media (max-width: 767px) {
		.bank {
			grid-template-columns: minmax(0, 1fr);
		}
	}
</style>
