<script lang="ts">
	import { DEFECT_KINDS, DEFECT_NAMES, DEFECT_WHERE, type DefectKind, type Finding } from '$lib/core/world/rehearsal';

	interface Props {
		cells: { id: number; label: string }[];
		leads: number;
		/** What the readings so far have already shown. */
		suggested: Finding[];
		busy: boolean;
		onreveal: (conclusions: Finding[]) => void;
	}
	let { cells, leads, suggested, busy, onreveal }: Props = $props();
	let own = $state<Finding[]>([]);
	let dropped = $state<string[]>([]);
	let kind = $state<DefectKind>('weak-cell');
	// svelte-ignore state_referenced_locally
	let where = $state(cells[0]?.label ?? '');
	let sure = $state(false);

	const key = (f: Finding) => `${f.kind}/${f.where ?? ''}`;
	const findings = $derived([...suggested.filter((f) => !dropped.includes(key(f))), ...own]);
	const places = $derived(
		DEFECT_WHERE[kind] === 'cell'
			? cells.map((c) => ({ value: c.label, text: c.label }))
			: DEFECT_WHERE[kind] === 'none'
				? []
				: Array.from({ length: leads }, (_, k) => ({ value: String(k + 1), text: `${DEFECT_WHERE[kind]} ${k + 1}` }))
	);
	function add(event: SubmitEvent) {
		event.preventDefault();
		const finding: Finding = { kind, where: places.length ? where : null };
		if (!findings.some((f) => key(f) === key(finding))) own = [...own, finding];
	}
	function drop(finding: Finding) {
		own = own.filter((f) => key(f) !== key(finding));
		dropped = [...dropped, key(finding)];
	}
	const placeWord = (f: Finding) =>
		f.where === null ? '' : DEFECT_WHERE[f.kind] === 'cell' ? f.where : `${DEFECT_WHERE[f.kind]} ${f.where}`;
</script>

<section class="sheet grid gap-3 p-4" aria-label="Your conclusions">
	<h2>Your conclusions</h2>
	<ul class="grid gap-1">
		{#each findings as f (key(f))}
			<li class="flex flex-wrap items-center gap-3">
				<strong>{DEFECT_NAMES[f.kind]}</strong>
				<span class="figure">{placeWord(f)}</span>
				{#if suggested.some((s) => key(s) === key(f))}<span class="muted">by your readings</span>{/if}
				<button class="btn btn-sm tap" onclick={() => drop(f)} aria-label="Drop {DEFECT_NAMES[f.kind]} {placeWord(f)}"
					>Drop</button
				>
			</li>
		{:else}<li class="muted">Nothing wrong so far, you say.</li>{/each}
	</ul>
	<form class="flex flex-wrap items-end gap-3" onsubmit={add}>
		<div>
			<label class="field-label" for="defect-kind">I found</label>
			<select id="defect-kind" class="select tap" bind:value={kind} onchange={() => (where = places[0]?.value ?? '')}>
				{#each DEFECT_KINDS as k (k)}<option value={k}>{DEFECT_NAMES[k]}</option>{/each}
			</select>
		</div>
		{#if places.length}
			<div>
				<label class="field-label" for="defect-where">in</label>
				<select id="defect-where" class="select tap" bind:value={where}>
					{#each places as p (p.value)}<option value={p.value}>{p.text}</option>{/each}
				</select>
			</div>
		{/if}
		<button class="btn tap">Add it</button>
	</form>
	<div class="mt-2 flex flex-wrap items-center gap-3 border-t border-[var(--line)] pt-3">
		{#if sure}
			<p>This ends the rehearsal: your conclusions stand as they are.</p>
			<button class="btn btn-primary tap" disabled={busy} onclick={() => onreveal(findings)}>Show me the truth</button>
			<button class="btn tap" onclick={() => (sure = false)}>Not yet</button>
		{:else}<button class="btn tap" onclick={() => (sure = true)}>End the rehearsal …</button>{/if}
	</div>
</section>
