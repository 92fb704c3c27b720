<script lang="ts">
	import type { Snippet } from 'svelte';
	import { goto } from '$app/navigation';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { startReadingCodes, type CodeJob } from '$lib/client/jobs/code-job';
	import { settingApart } from '$lib/client/entry/set-apart';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import type { DrawnCell } from '$lib/components/tray/tray-cell';
	import {
		LONGEST_CODE,
		codesToCells,
		readCellCode,
		sortCodes,
		type CellCode,
		type FoundCode,
		type PlacedCode
	} from '$lib/core/receive/identity';
	import { warmestOf } from '$lib/core/foundation/verdicts';
	import { formatDate, parseRoughDate } from '$lib/core/foundation/units';
	import { cellsOf } from '$lib/core/foundation/verdicts';
	import CameraView from './CameraView.svelte';
	import LowTray from '../readings/LowTray.svelte';
	import type { ReceiveData } from '../receive-data';

	let { data, views }: { data: ReceiveData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const cellType = $derived(data.overview.cellType);
	let index = $state(0);
	let selectedId = $state<number | null>(null);
	let typed = $state<string | null>(null);
	const tray = $derived(data.trays[Math.min(index, data.trays.length - 1)] ?? null);
	const cell = $derived(
		tray?.cells.find((c) => c.id === selectedId) ?? tray?.cells.find((c) => !c.code) ?? tray?.cells[0] ?? null
	);
	const style = $derived(data.settings.dateStyle);
	const read = (text: string | null): CellCode | null => {
		try {
			return text?.trim() ? readCellCode(text) : null;
		} catch {
			return null;
		}
	};
	const shown = $derived(typed ?? cell?.code ?? '');
	const meaning = $derived(read(shown));
	const drawn = $derived.by((): DrawnCell[] =>
		(tray?.cells ?? []).map((c) => {
			const code = read(c.code);
			return {
				id: c.id,
				label: c.label,
				figure: c.code ? (code?.productionDate?.slice(0, 7) ?? c.printedMonth ?? '?') : (c.printedMonth ?? null),
				minor: c.code ? c.code.slice(-7) : null,
				shade: null,
				warmth: warmestOf(data.verdicts.filter((v) => /^(code|print)-/.test(v.code) && cellsOf(v).includes(c.id))),
				turned: c.plusTurned,
				mark: null
			};
		})
	);
	const known = $derived((tray?.cells ?? []).filter((c) => c.code).length);
	let found = $state<{ placed: PlacedCode[]; left: number; without: number } | null>(null);
	let progress = $state<{ done: number; of: number } | null>(null);
	let job: CodeJob | null = null;
	let input = $state<HTMLInputElement>();
	let watching = $state(false);

	/** Year and month as typed, in any of the usual ways; undefined: no month. */
	const monthOf = (text: string): string | null | undefined => {
		const rough = parseRoughDate(text, style);
		return rough ? rough.local.slice(0, 7) : rough;
	};
	let month = $state<string | null>(null);
	const printed = $derived(month ?? cell?.printedMonth ?? '');
	async function keepMonth() {
		if (!cell || month === null) return;
		const typedMonth = month;
		const printedMonth = monthOf(typedMonth);
		if (printedMonth === undefined) return announce('Write the month like 05/2024 or May 2024.');
		const { id } = cell;
		// Enter and leaving the field are one keeping.
		month = null;
		const isKept = await attempt(async () => {
			const { version } = await api.get(`cells/${id}`);
			await api.patch(`cells/${id}`, { printedMonth, version });
		});
		if (!isKept) {
			month = typedMonth;
			return;
		}
		await lookAgain();
	}

	const store = async (cellId: number, code: string | null) => {
		const { version } = await api.get(`cells/${cellId}`);
		await api.patch(`cells/${cellId}`, { code, version });
	};
	async function keep() {
		if (!cell || typed === null) return;
		const { id } = cell;
		const code = typed.trim() || null;
		if (!(await attempt(() => store(id, code)))) return;
		typed = null;
		const cells = tray?.cells ?? [];
		selectedId = cells[cells.findIndex((c) => c.id === id) + 1]?.id ?? id;
		await lookAgain();
	}
	async function scan(file: File | undefined) {
		if (!file || !tray) return;
		found = null;
		progress = { done: 0, of: 1 };
		await attempt(async () => {
			job = startReadingCodes(file, (done, of) => (progress = { done, of }));
			await take(await job.result);
		});
		progress = null;
		if (input) input.value = '';
	}
	/** What was read off a photo or the camera, put to the cells; one of our own labels alone opens its cell. */
	async function take(read: FoundCode[]) {
		const { codes, ownCellIds, tooLong } = sortCodes(read);
		const [onlyOwn] = ownCellIds;
		if (codes.length === 0 && ownCellIds.length === 1) return goto(`/cells/${onlyOwn}`);
		if (tooLong) announce(`${tooLong} too long to be the code of a cell: left out.`);
		if (codes.length === 0 && ownCellIds.length)
			announce('These are our own labels. One of them alone in a photo opens that cell.');
		else if (codes.length === 0)
			announce('No code was found in this photo. Nearer, flat above the cells, without glare.');
		else if (tray) found = codesToCells(codes, tray.cells, codes.length === 1 ? (cell?.id ?? null) : null);
	}
	function cancel() {
		job?.cancel();
		progress = null;
	}
	async function keepFound() {
		if (!found) return;
		const { placed } = found;
		if (
			!(await attempt(async () => {
				for (const { cellId, text } of placed) await store(cellId, text);
			}))
		)
			return;
		announce(`${placed.length} ${placed.length === 1 ? 'code is' : 'codes are'} kept.`);
		found = null;
		await lookAgain();
	}
</script>

<StagePage
	title="Which cell is which?"
	subtitle={tray ? `${tray.delivery.name} · ${known} of ${tray.cells.length} codes read` : 'nothing unpacked yet'}
	verdicts={data.verdicts}
	onpick={(id) => (selectedId = id)}
	onsetapart={settingApart(bank.id, 'receive')}
>
	{@render views()}
	{#if tray && cell}
		<LowTray
			trays={data.trays}
			bind:index
			cells={drawn}
			{cellType}
			selectedId={cell.id}
			onpick={(id) => {
				selectedId = id;
				typed = null;
				month = null;
			}}
			label="Codes of {tray.delivery.name}"
		/>
		<section class="sheet mt-3 grid gap-3 p-3" aria-label="Code of {cell.label}">
			<div class="flex flex-wrap items-end gap-3">
				<div class="grow">
					<label class="field-label" for="code-field">Code of {cell.label}</label>
					<input
						id="code-field"
						class="input tap figure w-full text-lg"
						maxlength={LONGEST_CODE}
						autocapitalize="characters"
						autocomplete="off"
						spellcheck="false"
						bind:value={() => shown, (v) => (typed = v)}
						onkeydown={(e) => e.key === 'Enter' && void keep()}
					/>
				</div>
				<div>
					<label class="field-label" for="month-field">Month printed on it</label>
					<input
						id="month-field"
						class="input tap figure w-32"
						placeholder="05/2024"
						autocomplete="off"
						maxlength="30"
						bind:value={() => printed, (v) => (month = v)}
						onkeydown={(e) => e.key === 'Enter' && void keepMonth()}
						onblur={() => void keepMonth()}
					/>
				</div>
				<button class="btn btn-primary tap" disabled={typed === null} onclick={() => void keep()}
					>Keep, next cell</button
				>
				<label class="btn tap">
					<input
						bind:this={input}
						type="file"
						accept="image/*"
						class="sr-only"
						onchange={(e) => void scan(e.currentTarget.files?.[0])}
					/>Read codes off a photo</label
				>
				<button class="btn tap" aria-pressed={watching} onclick={() => (watching = !watching)}>By camera</button>
			</div>
			{#if watching}<CameraView
					onfound={(codes) => {
						watching = false;
						void take(codes);
					}}
					onclose={() => (watching = false)}
				/>{/if}
			{#if progress}
				<div class="flex items-center gap-3" role="status">
					<progress class="progress w-48" max={progress.of} value={progress.done} aria-label="Photo looked through"
					></progress>
					<span>Looking for codes …</span>
					<button class="btn tap" onclick={cancel}>Cancel</button>
				</div>
			{/if}
			{#if found}
				<div class="grid gap-2">
					<p>
						<strong>{found.placed.length} {found.placed.length === 1 ? 'code' : 'codes'} found</strong>, put to the
						cells by where they lie: rows from the top, each from the left.
						{found.left ? `${found.left} more than there are cells.` : ''}
						{found.without && found.placed.length > 1 ? `${found.without} cells have none.` : ''}
					</p>
					<ol class="grid gap-1">
						{#each found.placed as { cellId, label, text } (cellId)}<li>
								<strong>{label}</strong> <span class="figure">{text}</span>
							</li>{/each}
					</ol>
					<div class="flex gap-2">
						<button class="btn btn-primary tap" onclick={() => void keepFound()}>Keep them</button>
						<button class="btn tap" onclick={() => (found = null)}>Not these</button>
					</div>
				</div>
			{/if}
			{#if meaning?.fields}
				<dl class="grid grid-cols-2 gap-x-6 gap-y-1 sm:grid-cols-4">
					<div>
						<dt class="muted">Made</dt>
						<dd>{meaning.productionDate ? formatDate(meaning.productionDate, style) : 'cannot be read'}</dd>
					</div>
					<div>
						<dt class="muted">Chemistry</dt>
						<dd>{meaning.chemistry ?? `letter ${meaning.fields.chemistryLetter}`}</dd>
					</div>
					<div>
						<dt class="muted">Maker, model</dt>
						<dd class="figure">{meaning.fields.maker} {meaning.fields.model}</dd>
					</div>
					<div>
						<dt class="muted">Serial</dt>
						<dd class="figure">{meaning.fields.serial}</dd>
					</div>
				</dl>
			{/if}
			{#each meaning?.warnings ?? [] as warning (warning.code)}<p class="ember-text">{warning.message}</p>{/each}
			<p class="muted">
				A code is a claim: codes are forged and engraved anew. A date printed on a label may be that of a test standard,
				not of the cell.
			</p>
			<p class="no-print">
				<a
					class="tap inline-flex items-center underline underline-offset-4"
					href="/banks/{bank.id}/labels?delivery={tray.delivery.id}">Print our own labels for these cells</a
				>
			</p>
		</section>
	{:else}<p>Unpack a delivery first (Readings).</p>{/if}
</StagePage>
