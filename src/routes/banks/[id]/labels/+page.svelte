<script lang="ts">
	import Choice from '$lib/components/forms/Choice.svelte';

	let { data } = $props();
	let paper = $state<'a4' | 'letter'>('a4');
	/** Labels a sheet: three across; as many rows as the paper is high. */
	const ROWS = { a4: 8, letter: 7 };
	const perSheet = $derived(3 * ROWS[paper]);
	const sheets = $derived(
		Array.from({ length: Math.ceil(data.labels.length / perSheet) }, (_, i) =>
			data.labels.slice(i * perSheet, (i + 1) * perSheet)
		)
	);
</script>

<svelte:head><title>Labels · {data.overview.bank.name}</title></svelte:head>
<main class="p-4">
	<div class="no-print mb-4 flex flex-wrap items-end gap-4">
		<h1 class="w-full">Labels for {data.labels.length} cells</h1>
		<Choice
			label="Paper"
			bind:value={paper}
			options={[
				{ value: 'a4', text: 'A4' },
				{ value: 'letter', text: 'Letter' }
			]}
		/>
		<button class="btn btn-primary tap" onclick={() => window.print()}>Print them</button>
		<a class="btn tap" href="/banks/{data.overview.bank.id}/receive/codes">Back to the codes</a>
		<p class="muted w-full">
			Scanned with a phone, a label opens that cell’s passport, while the phone can reach this application at the
			address it is open at now.
		</p>
	</div>
	{#each sheets as sheet, i (i)}
		<ul class="labels" data-paper={paper} style:--rows={ROWS[paper]}>
			{#each sheet as { id, label, from, code } (id)}
				<li>
					<img class="code" src={code} alt="" />
					<span><strong>{label}</strong><small>{from}</small></span>
				</li>
			{/each}
		</ul>
	{/each}
</main>

<style>
	.labels {
		display: grid;
		grid-template-columns: repeat(3, minmax(0, 1fr));
		grid-auto-rows: 34mm;
		gap: 2mm;
		max-width: 200mm;
		margin-bottom: 1rem;
		break-after: page;
	}
	li {
		display: flex;
		align-items: center;
		gap: 3mm;
		border: 1px dashed var(--line);
		padding: 2mm;
	}
	.code {
		width: 28mm;
		flex: none;
		background: white;
		padding: 1mm;
	}
	strong {
		display: block;
		font-size: 1.25rem;
	}
	small {
		display: block;
		font-size: 0.75rem;
		overflow-wrap: anywhere;
	}
</style>
