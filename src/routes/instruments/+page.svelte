<script lang="ts">
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import type { AnswerFor, BodyFor } from '$lib/client/api/api-shapes';
	import TopBar from '$lib/components/frame/TopBar.svelte';
	import { INSTRUMENT_SHEETS, type InstrumentKind } from '$lib/core/foundation/reading';
	import CalibrationSection from '$lib/components/instruments/CalibrationSection.svelte';
	import InstrumentForm from '$lib/components/instruments/InstrumentForm.svelte';

	let { data } = $props();
	type Tried = AnswerFor<'post', `instruments/${number}/try`>;
	let tried = $state<Record<number, Tried>>({});
	let busy = $state<number | null>(null);
	let fields = $state<Record<string, string>>({});
	/** The entry being changed. */
	let edited = $state<number | null>(null);
	const own = $derived(data.book.entries.filter((e) => !e.instrument.bundled));
	const bundled = $derived(data.book.entries.filter((e) => e.instrument.bundled));

	async function tryOne(id: number) {
		busy = id;
		await attempt(async () => {
			tried = { ...tried, [id]: await api.post(`instruments/${id}/try`, {}) };
		});
		busy = null;
		await lookAgain();
	}
	const save = async (send: () => Promise<unknown>): Promise<boolean> => {
		fields = {};
		const done = await attempt(send, (refused) => (fields = refused));
		if (done) {
			edited = null;
			await lookAgain();
		}
		return done;
	};
	const add = (instrument: BodyFor<'post', 'instruments'>) => save(() => api.post('instruments', instrument));
	const change = (
		id: number,
		version: number,
		instrument: Omit<BodyFor<'patch', `instruments/${number}`>, 'version'>
	) => save(() => api.patch(`instruments/${id}`, { ...instrument, version }));
	async function remove(id: number, version: number, name: string) {
		if (!(await attempt(() => api.remove(`instruments/${id}`, version)))) return;
		announce(
			`${name} taken out.`,
			() =>
				void attempt(async () => {
					await api.restore(`instruments/${id}`);
					await lookAgain();
				})
		);
		await lookAgain();
	}
	/** Accuracy as a sheet says it. */
	const sheetWords = (i: { kind: InstrumentKind; accuracyPercent: number; accuracyFixed: number }) =>
		`${i.accuracyPercent} % and ${Number((i.accuracyFixed * INSTRUMENT_SHEETS[i.kind].perUnit).toPrecision(3))} ${INSTRUMENT_SHEETS[i.kind].unit}`;
	const figure = (t: Tried) =>
		t.reading
			? [
					t.reading.voltageV === null ? null : `${t.reading.voltageV.toFixed(3)} V`,
					t.reading.currentA === null ? null : `${t.reading.currentA.toFixed(2)} A`,
					t.reading.resistanceOhm === null ? null : `${(t.reading.resistanceOhm * 1000).toFixed(3)} mΩ`,
					t.reading.countedAh === null ? null : `${t.reading.countedAh.toFixed(2)} Ah counted`
				]
					.filter(Boolean)
					.join(' · ')
			: t.trouble;
</script>

<svelte:head><title>Instruments · Kind Ember</title></svelte:head>
<TopBar />
<main class="mx-auto grid max-w-5xl gap-4 p-4">
	<header>
		<h1>Instruments</h1>
		<p class="muted">
			What can be read live. Bench instruments speak SCPI on a TCP port, BMS and shunt Modbus TCP. Only addresses you
			enter here are ever spoken to.
		</p>
	</header>
	{#snippet list(entries: typeof own)}
		<ul class="grid gap-2">
			{#each entries as { instrument, status } (instrument.id)}
				<li class="sheet flex flex-wrap items-center gap-x-5 gap-y-1 px-4 py-2">
					<div class="min-w-56 flex-1 wrap-anywhere">
						<strong>{instrument.name}</strong>
						<span class="muted"
							>{instrument.kind}{instrument.bundled
								? ''
								: ` · ${instrument.host}:${instrument.port}${instrument.unitId ? ` unit ${instrument.unitId}` : ''}`}</span
						>
						<p class="text-[0.95rem]">
							{#if status.trouble}<span class="ember-text">{status.trouble.message}</span>
							{:else if tried[instrument.id]}<span class="figure font-semibold">{figure(tried[instrument.id]!)}</span>
								<span class="muted"
									>{tried[instrument.id]!.identity.text}{tried[instrument.id]!.identity.watchdog
										? ', switches itself off when nobody speaks to it'
										: ''}</span
								>
							{:else}<span class="muted"
									>{status.connected ? 'connected' : 'not spoken to yet'} · ± {sheetWords(
										instrument
									)}{instrument.voltageOffsetV || instrument.currentGainPercent ? ', calibration taken out' : ''}</span
								>{/if}
						</p>
					</div>
					<button class="btn tap" disabled={busy !== null} onclick={() => tryOne(instrument.id)}
						>{busy === instrument.id ? 'Asking …' : 'Try it'}</button
					>
					<button class="btn tap" onclick={() => (edited = instrument.id)}
						>{instrument.bundled ? 'Calibrate' : 'Change'}</button
					>
					{#if !instrument.bundled}<button
							class="btn tap"
							onclick={() => remove(instrument.id, instrument.version, instrument.name)}>Take out</button
						>{/if}
					{#if edited === instrument.id}
						<div class="w-full">
							<InstrumentForm
								{instrument}
								{fields}
								onchange={(changed) => change(instrument.id, instrument.version, changed)}
								oncancel={() => (edited = null)}
							/>
						</div>
					{/if}
				</li>
			{/each}
		</ul>
	{/snippet}
	<section class="grid gap-2" aria-label="Your own instruments">
		<h2>Your own</h2>
		{#if own.length}{@render list(own)}{:else}<p class="muted">
				None yet. Enter one below when you have one on your network.
			</p>{/if}
	</section>
	{#if edited === null}<InstrumentForm instrument={null} onadd={add} {fields} />{/if}
	<section class="grid gap-2" aria-label="The simulated bench">
		<h2>The simulated bench</h2>
		{#if data.book.bench}
			<p class="muted">Used by rehearsals only; it measures no real cell.</p>
			{@render list(bundled)}
		{:else}<p>
				It is not running. <code>npm start</code> and <code>npm run demo</code> bring it up with the application.
			</p>{/if}
	</section>
	<CalibrationSection dateStyle={data.settings.dateStyle} />
</main>
