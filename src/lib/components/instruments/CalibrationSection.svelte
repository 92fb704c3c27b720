<script lang="ts">
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import Field from '$lib/components/forms/Field.svelte';
	import {
		CALIBRATED,
		CALIBRATED_FIGURES,
		fitCalibration,
		parseReading,
		type Calibrated
	} from '$lib/core/foundation/reading';
	import { formatDate, type Settings, localDay } from '$lib/core/foundation/units';

	let { dateStyle }: { dateStyle: Settings['dateStyle'] } = $props();
	interface Stored {
		id: number;
		version: number;
		quantity: Calibrated;
		meter: string | null;
		calibratedOn: string;
		by: string | null;
		truthSd: number;
		pairs: { shown: number; truth: number }[];
	}
	let stored = $state<Stored[]>([]);
	const load = async () =>
		(stored = ((await api.get('calibrations', { size: 100 })) as unknown as { items: Stored[] }).items);
	$effect(() => void load().catch(() => undefined));
	let draft = $state({
		...{ quantity: 'restVoltage' as Calibrated, meter: '', by: '', lines: '' },
		...{ calibratedOn: localDay(new Date()), truthSd: null as number | null }
	});
	let fields = $state<Record<string, string>>({});
	const ampHours = (text: string) => {
		const value = Number(text.replace(/ah$/i, '').replace(',', '.'));
		if (!(value > 0)) throw new Error('no ampere-hours');
		return value;
	};
	/** Two figures a line: what yours showed, what the better one did. */
	const parsed = $derived(
		draft.lines
			.split('\n')
			.filter((line) => line.trim())
			.map((line) => {
				try {
					const [shown, truth] = line
						.trim()
						.split(/[\s;]+/)
						.map((text) => (draft.quantity === 'capacity' ? ampHours(text) : parseReading(text, draft.quantity).value));
					return shown !== undefined && truth !== undefined ? { shown, truth } : null;
				} catch {
					return null;
				}
			})
	);
	const pairs = $derived(parsed.filter((p) => p !== null));
	const unread = $derived(parsed.indexOf(null));
	const figures = $derived(CALIBRATED_FIGURES[draft.quantity]);
	const shownFit = (quantity: Calibrated, list: readonly { shown: number; truth: number }[], truthSd: number) => {
		const { gain, offset } = fitCalibration(list, truthSd, draft.quantity === 'capacity');
		const { unit, decimals } = CALIBRATED_FIGURES[quantity];
		const signed = (v: number, digits: number) => `${v < 0 ? '−' : '+'}${Math.abs(v).toFixed(digits)}`;
		return `${gain ? `${signed(100 * gain, 3)} % and ` : ''}${signed(offset, decimals + 1)} ${unit}`;
	};
	async function keep(event: SubmitEvent) {
		event.preventDefault();
		fields = {};
		if (!pairs.length) fields.lines = 'Two figures a line: what yours showed, what the better one did.';
		if (draft.truthSd === null) fields.truthSd = 'How well is the better one known?';
		if (Object.keys(fields).length) return;
		const { quantity, meter, by, calibratedOn, truthSd } = draft;
		const body = { quantity, meter: meter.trim() || null, by: by.trim() || null, calibratedOn, truthSd, pairs };
		let keptId: number | undefined;
		const done = await attempt(
			async () => {
				keptId = ((await api.post('calibrations', body)) as unknown as { id: number }).id;
			},
			(refused) => (fields = refused)
		);
		if (!done) return;
		draft.lines = '';
		announce('Kept. Every verdict that rests on this meter is made anew.');
		await load();
		await showChanges(keptId);
	}
	/** What one calibration has changed, of all banks; null: not asked. */
	let changed = $state<({ id: number } & Changes) | null>(null);
	let looking = $state<number | null>(null);
	interface Changes {
		changes: Change[];
		more: boolean;
		/** Banks that are still being judged. */
		beingJudged: number;
	}
	interface Change {
		bankId: number;
		bankName: string;
		stage: string;
		subjectLabel: string;
		before: string | null;
		now: string | null;
	}
	async function showChanges(id: number | undefined) {
		if (id === undefined) return;
		looking = id;
		await attempt(async () => {
			const found = (await api.get(`calibrations/${id}/changes`)) as unknown as Changes;
			changed = { id, ...found };
		});
		looking = null;
	}
	async function takeOff({ id, version }: Stored) {
		if (!(await attempt(() => api.remove(`calibrations/${id}`, version)))) return;
		announce(
			'The calibration is taken out.',
			() =>
				void attempt(async () => {
					await api.restore(`calibrations/${id}`);
					await load();
				})
		);
		await load();
	}
</script>

<section class="sheet mt-4 grid gap-3 p-4" aria-label="Calibrations">
	<h2>Held against a better one</h2>
	<p class="muted">
		A meter beside a better one on the same thing, or a tester beside a better one on the same cell: under the name it
		has on its readings or runs.
	</p>
	<ul class="grid gap-2">
		{#each stored as c (c.id)}
			<li class="flex flex-wrap items-center justify-between gap-x-4">
				<span class="min-w-0 wrap-anywhere"
					><strong>{c.meter ?? 'The meter of the settings'}</strong>, {CALIBRATED_FIGURES[c.quantity].label}: shows
					<span class="figure">{shownFit(c.quantity, c.pairs, c.truthSd)}</span> too much
					<span class="muted block"
						>{formatDate(c.calibratedOn, dateStyle)}{c.by ? `, ${c.by}` : ''}; {c.pairs.length}
						{c.pairs.length === 1 ? 'pair' : 'pairs'}</span
					></span
				>
				<span class="flex flex-wrap gap-2">
					<button class="btn btn-ghost tap" disabled={looking !== null} onclick={() => void showChanges(c.id)}
						>{looking === c.id ? 'Judging anew …' : 'What it changed'}</button
					>
					<button class="btn btn-ghost tap" onclick={() => void takeOff(c)}>Take it out</button>
				</span>
				{#if changed?.id === c.id}
					<ul class="basis-full list-disc pl-5" aria-label="What this calibration changed">
						{#each changed.changes as change, i (i)}
							<li>
								<a class="underline" href="/banks/{change.bankId}/{change.stage}">{change.bankName}</a>:
								{change.before ?? 'nothing said'} → {change.now ?? 'no longer said'}
							</li>
						{:else}<li>No verdict says anything else since.</li>{/each}
						{#if changed.more}<li>and more, on the passports</li>{/if}
						{#if changed.beingJudged}<li>
								{changed.beingJudged === 1 ? 'One bank is' : `${changed.beingJudged} banks are`} still being judged; ask again
								in a moment.
							</li>{/if}
					</ul>
				{/if}
			</li>
		{/each}
	</ul>
	<form class="grid grid-cols-2 items-start gap-3 sm:grid-cols-3" onsubmit={keep} novalidate>
		<label
			><span class="field-label">Of what</span>
			<select class="select tap w-full" bind:value={draft.quantity}>
				{#each CALIBRATED as q (q)}<option value={q}>{CALIBRATED_FIGURES[q].label}</option>{/each}
			</select></label
		>
		<Field label="Meter" bind:value={draft.meter} maxlength={80} hint="blank: the one of the settings" />
		<Field label="On" type="date" bind:value={draft.calibratedOn} error={fields.calibratedOn} />
		<Field label="By" bind:value={draft.by} maxlength={80} />
		<Field
			label="The better one is good to"
			unit="{figures.unit}, one sd"
			type="number"
			bind:value={draft.truthSd}
			error={fields.truthSd}
		/>
		<div class="col-span-full">
			<label class="field-label" for="pairs">Yours showed, the better one showed</label>
			<textarea id="pairs" class="textarea figure w-full" rows="4" bind:value={draft.lines} placeholder="3.310 3.302"
			></textarea>
			{#if unread >= 0}<p class="ember-text">Line {unread + 1}: write two figures.</p>
			{:else if fields.lines}<p class="ember-text">{fields.lines}</p>
			{:else if pairs.length}<p class="muted">
					Yours shows {shownFit(draft.quantity, pairs, draft.truthSd ?? 0)} too much.
				</p>{/if}
		</div>
		<button class="btn btn-primary tap">Keep it</button>
	</form>
	<p class="muted">
		What was typed stays as it was; readings are corrected where they are judged. A meter wanders: the doubt grows with
		the years.
	</p>
</section>
