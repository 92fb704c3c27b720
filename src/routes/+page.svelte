<script lang="ts">
	import { layoutText } from '$lib/core/plan/layouts';
	import { WARMTH_WORDS } from '$lib/components/verdicts/warmth-words';
	import { goto } from '$app/navigation';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import MiniTray from '$lib/components/bank/MiniTray.svelte';
	import RunningStrip from '$lib/components/frame/RunningStrip.svelte';
	import TopBar from '$lib/components/frame/TopBar.svelte';
	import { BANK_USES } from '$lib/core/picture';
	import { STAGES, STAGE_NAMES } from '$lib/core/foundation/verdicts';
	import { inOwnStyle } from '$lib/client/settings/own-style';

	let { data } = $props();
	const home = $derived(data.home);
	const running = $derived([...home.real, ...home.rehearsals].filter((b) => b.running.length));
	const pageHref = (page: number) =>
		`?${new URLSearchParams({
			...(home.search ? { q: home.search } : {}),
			...(home.stage ? { stage: home.stage } : {}),
			...(home.bankUse ? { use: home.bankUse } : {}),
			page: String(page)
		})}`;
	const filtered = $derived(Boolean(home.search || home.stage || home.bankUse));
	/** From so many on it is worth looking for one. */
	const WORTH_FINDING = 6;
	let fileInput: HTMLInputElement;

	/** A file of a line a record begins with its own first line; one of the first format is a single object. */
	async function contentTypeOf(file: File): Promise<string> {
		const [first] = (await file.slice(0, 4096).text()).split('\n', 1);
		try {
			return JSON.parse(first!).formatVersion === 1 ? 'application/json' : 'application/x-ndjson';
		} catch {
			return 'application/json';
		}
	}
	async function importFile() {
		const file = fileInput.files?.[0];
		if (!file) return;
		await attempt(async () => {
			const bank = await api.sendFile('banks/import', file, await contentTypeOf(file));
			announce(`${bank.name} is here, with everything that was in the file.`);
			await goto(`/banks/${bank.id}/plan`);
		});
		fileInput.value = '';
	}
</script>

{#snippet bankList(list: typeof home.real)}
	<ul class="grid gap-4">
		{#each list as bank (bank.id)}
			{@const { current, first, warmth, stages, needing, cellTypeName } = bank}
			<li class="sheet bank" data-warmth={warmth}>
				<a href="/banks/{bank.id}/{current}" class="block">
					<h2>{bank.name}</h2>
					<p class="muted">
						{#if bank.rehearsal}<span class="rehearsal-mark mr-1 px-1">Rehearsal</span>{/if}{bank.bankUse === 'other'
							? ''
							: bank.bankUse}{cellTypeName ? `${bank.bankUse === 'other' ? '' : ' · '}${cellTypeName}` : ''}
					</p>
					<p class="figure my-2">{layoutText(bank.series, bank.parallel, bank.batteries, bank.readyMade)}</p>
					{#if bank.batteries}<MiniTray series={bank.series} parallel={bank.parallel} batteries={bank.batteries} />{/if}
				</a>
				<div class="min-w-0">
					<p>Stage <strong>{STAGE_NAMES[current]}</strong></p>
					<ol class="my-2 flex flex-wrap gap-x-3 text-sm muted">
						{#each stages as s (s.stage)}<li>
								{s.done ? '✓ ' : ''}{STAGE_NAMES[s.stage]}
							</li>{/each}
					</ol>
					{#if first}
						<p class="text-sm font-bold ember-text">{WARMTH_WORDS[first.warmth]}</p>
						<p class="font-bold">{inOwnStyle(first.title)}</p>
						<p>{inOwnStyle(first.next ?? first.finding)}</p>
						{#if needing > 1}<p class="text-sm muted">and {needing - 1} more</p>{/if}
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
				{home.total === 0
					? 'None yet.'
					: home.needing
						? `${home.needing} of ${home.total} need you.`
						: 'Nothing needs you now.'}
			</p>
		</div>
		<div class="flex flex-wrap gap-2">
			<button class="btn tap" onclick={() => fileInput.click()}>Bring in a bank file</button>
			<input
				bind:this={fileInput}
				type="file"
				accept=".json,.jsonl,application/json"
				class="hidden"
				onchange={importFile}
				aria-label="Bank file"
			/>
			<a class="btn tap" href="/stock">Your stock</a>
			<a class="btn tap" href="/taken-out">Taken out</a>
			<a class="btn tap" href="/rehearse">Rehearse on simulated cells</a>
			<a class="btn btn-primary tap" href="/banks/new">New bank</a>
		</div>
	</header>
	{#if running.length}
		<section class="sheet mb-4 px-4 py-2" aria-label="Running now">
			{#each running as b (b.id)}<RunningStrip running={b.running} bankName={b.name} />{/each}
		</section>
	{/if}
	{#if home.total === 0}
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
	{#if home.total >= WORTH_FINDING || filtered}
		<form class="mb-4 flex flex-wrap items-end gap-3" role="search" data-sveltekit-keepfocus>
			<label class="grid gap-1"
				>Find by name
				<input class="input tap" type="search" name="q" value={home.search} maxlength="80" /></label
			>
			<label class="grid gap-1"
				>at the stage
				<select class="select tap" name="stage" value={home.stage ?? ''}>
					<option value="">any</option>
					{#each STAGES as stage (stage)}<option value={stage}>{STAGE_NAMES[stage]}</option>{/each}
				</select></label
			>
			<label class="grid gap-1"
				>for use in
				<select class="select tap" name="use" value={home.bankUse ?? ''}>
					<option value="">any</option>
					{#each BANK_USES as use (use)}<option value={use}>{use}</option>{/each}
				</select></label
			>
			<button class="btn tap">Find</button>
			<span class="muted"
				>{filtered ? `${home.found} of ${home.total} found` : `The warmest first, ${home.total} in all`}</span
			>
		</form>
	{/if}
	{@render bankList(home.real)}
	{#if home.pages > 1}
		<nav class="mt-4 flex items-center gap-4" aria-label="Pages of banks">
			{#if home.page > 1}<a class="btn tap" href={pageHref(home.page - 1)}>Warmer ones</a>{/if}
			<span>Page <span class="figure">{home.page}</span> of <span class="figure">{home.pages}</span></span>
			{#if home.page < home.pages}<a class="btn tap" href={pageHref(home.page + 1)}>Further ones</a>{/if}
		</nav>
	{/if}
	{#if home.rehearsals.length}
		<h2 class="mt-8 mb-3">Rehearsals</h2>
		{@render bankList(home.rehearsals)}
		{#if home.rehearsalsFound > home.rehearsals.length}<p class="mt-2 muted">
				{home.rehearsalsFound - home.rehearsals.length} more; find them by name.
			</p>{/if}
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
