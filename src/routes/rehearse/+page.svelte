<script lang="ts">
	import { goto } from '$app/navigation';
	import { attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import MiniTray from '$lib/components/bank/MiniTray.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import TopBar from '$lib/components/frame/TopBar.svelte';

	let { data } = $props();
	let seed = $state<number | null>(null);
	let busy = $state(false);
	let fileInput: HTMLInputElement;

	async function start(wish: object) {
		busy = true;
		await attempt(async () => {
			const bank = await api.post('rehearsals', wish);
			await goto(`/banks/${bank.id}/rehearsal`);
		});
		busy = false;
	}
	async function startFile() {
		const file = fileInput.files?.[0];
		if (!file) return;
		const scenario = await file
			.text()
			.then(JSON.parse)
			.catch(() => ({}));
		await start({ scenario });
		fileInput.value = '';
	}
	const layout = (text: string) => text.split(/[SP]/).map(Number);
</script>

<svelte:head><title>Rehearse · Kind Ember</title></svelte:head>
<TopBar />
<main class="mx-auto max-w-5xl p-4">
	<header class="mb-4 max-w-prose">
		<h1>Rehearse on simulated cells</h1>
		<p class="muted">
			A crate is opened on a simulated bench. You do the whole job on it: read, test, match, balance, wire. Something
			may be hidden in it. At the end you see the truth beside what you concluded. Nothing here can hurt you or a real
			cell.
		</p>
	</header>
	{#if !data.choices.bench}<p class="sheet p-4 ember-text font-semibold">
			The simulated bench is not running. <code>npm start</code> and <code>npm run demo</code> bring it up with the application.
		</p>{/if}
	{#if busy}<p class="sheet mb-4 p-4" role="status">
			The crate is opened: its cells are laid on the bench, their measures are set, and a bank is made for them. A few
			seconds.
		</p>{/if}
	<ul class="grid gap-4 md:grid-cols-2">
		{#each data.choices.scenarios as scenario, i (scenario.key)}
			{@const [series, parallel] = layout(scenario.layout)}
			<li class="sheet grid content-between gap-3 p-4">
				<div>
					<p class="text-sm muted">{['To begin with', 'With some care', 'Trust nobody', 'For a long evening'][i]}</p>
					<h2>{scenario.name}</h2>
					<p class="mt-1">{scenario.story}</p>
				</div>
				<div class="flex flex-wrap items-end justify-between gap-3">
					<div>
						<MiniTray series={series!} parallel={parallel!} batteries={1} />
						<p class="figure muted mt-1">{scenario.cells} cells for {scenario.layout}</p>
					</div>
					<button
						class="btn tap"
						class:btn-primary={i === 0}
						disabled={busy || !data.choices.bench}
						onclick={() => start({ ready: scenario.key })}
						aria-label="Open the crate: {scenario.name}">{busy ? 'Opening …' : 'Open the crate'}</button
					>
				</div>
			</li>
		{/each}
	</ul>
	<section class="sheet mt-4 p-4">
		<h2>Your own</h2>
		<p class="muted">A number makes a small crate: the same number, the same crate. Or bring a scenario file.</p>
		<form
			class="mt-3 flex flex-wrap items-end gap-3"
			onsubmit={(e) => {
				e.preventDefault();
				void start({ seed: Number(seed) });
			}}
		>
			<Field label="Number" type="number" bind:value={seed} min="0" step="1" required />
			<button class="btn tap" disabled={busy || !data.choices.bench}>Open that crate</button>
			<button type="button" class="btn tap" disabled={busy || !data.choices.bench} onclick={() => fileInput.click()}
				>Bring a scenario file</button
			>
			<input
				bind:this={fileInput}
				type="file"
				accept=".json,application/json"
				class="hidden"
				onchange={startFile}
				aria-label="Scenario file"
			/>
		</form>
	</section>
</main>
