<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import { onDestroy, untrack, type Snippet } from 'svelte';
	import Choice from '$lib/components/forms/Choice.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import { vesselsJob } from '$lib/client/jobs/vessels-job';
	import { settingApart } from '$lib/client/entry/set-apart';
	import { KNEE_V, restVoltageCurve } from '$lib/core/foundation/chemistry';
	import {
		CHALLENGES,
		createVessels,
		pour,
		usableAh,
		voltsOf,
		whoStops,
		type Challenge,
		type Stop,
		type Vessels
	} from '$lib/core/balance/vessels';
	import type { BalanceData } from './balance-data';
	import VesselsDrawing from './VesselsDrawing.svelte';

	let { data, views }: { data: BalanceData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const scaleV = $derived.by(() => {
		const curve = restVoltageCurve(bank.chemistry);
		return { low: curve.at(0.05), middle: curve.at(0.6), high: KNEE_V[bank.chemistry] };
	});
	/** More are not told apart by eye. */
	const MAX = 16;
	const own = $derived(data.mayStand.filter((c) => c.capacityAh !== null).slice(0, MAX));
	const EXAMPLE_AH = [100, 96, 104, 92];
	type Preset = 'top' | 'bottom' | 'unbalanced';
	let preset = $state<Preset>('unbalanced');
	let from = $state<'own' | 'example'>('example');
	const labels = $derived(from === 'own' ? own.map((c) => c.label) : EXAMPLE_AH.map((_, i) => `Cell ${i + 1}`));
	const capacities = $derived(from === 'own' ? own.map((c) => c.capacityAh!) : EXAMPLE_AH);
	/** As they might come: none alike, the same each time. */
	const asTheyCome = (n: number) => Array.from({ length: n }, (_, i) => 0.5 + 0.12 * Math.sin(2.4 * i + 1));
	const begun = () => createVessels(capacities, preset === 'unbalanced' ? asTheyCome(capacities.length) : preset);
	let challenge = $state<Challenge | null>(null);
	let vessels = $state.raw<Vessels>(untrack(begun));
	let stop = $state<Stop | null>(null);
	let chosen = $state<number | null>(null);
	let selected = $state(0);
	let activeA = $state(0);
	let playing = $state<1 | -1 | null>(null);
	const names = $derived(challenge ? challenge.start.capacityAh.map((_, i) => `Cell ${i + 1}`) : labels);

	function restart() {
		pause();
		job.forget();
		vessels = challenge ? challenge.start : begun();
		[stop, chosen, selected] = [null, null, 0];
	}
	function take(next: Challenge | null) {
		challenge = next;
		restart();
	}
	/** A step through all, at 0.2 C. */
	const C_RATE = 0.2;
	const job = vesselsJob();
	let busy = false;
	async function step(direction: 1 | -1, share = 0.01) {
		// A frame that is not done yet is not overtaken.
		if (busy) return;
		busy = true;
		const meanAh = vessels.capacityAh.reduce((a, b) => a + b, 0) / vessels.capacityAh.length;
		const balancer = { activeA, triggerV: 0.01 };
		const moved = await job
			.move(vessels, direction * share * meanAh, bank.chemistry, balancer, share / C_RATE)
			.finally(() => (busy = false));
		if (!moved) return;
		[vessels, stop] = [moved.vessels, moved.stop];
		if (stop) pause();
	}
	function pourInto(ah: number) {
		job.forget();
		[vessels, stop] = [pour(vessels, selected, ah), null];
	}
	const FRAME_MS = 40;
	let timer: ReturnType<typeof setInterval> | undefined;
	function pause() {
		clearInterval(timer);
		playing = null;
	}
	function play(direction: 1 | -1) {
		const goesOn = playing !== direction;
		pause();
		if (!goesOn) return;
		playing = direction;
		timer = setInterval(() => void step(direction, 0.006), FRAME_MS);
	}
	onDestroy(() => {
		clearInterval(timer);
		job.end();
	});

	const volts = $derived(voltsOf(vessels, bank.chemistry));
	const stops = $derived(whoStops(vessels));
	const gives = $derived(usableAh(vessels));
	const solved = $derived(challenge?.isSolved({ vessels, chosen }, bank.chemistry) ?? false);
	const POUR_AH = $derived(Math.max(1, Math.round(0.02 * Math.max(...vessels.capacityAh))));
</script>

<StagePage
	title="Who stops it?"
	subtitle="each cell a vessel as tall as its capacity, filled to its charge; one current through all"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'balance')}
>
	{@render views()}
	<section class="sheet grid gap-3 p-4" aria-label="The string">
		{#if challenge}
			<div class="flex flex-wrap items-baseline gap-3">
				<p class="grow text-lg font-bold">{challenge.question}</p>
				<button class="btn tap" onclick={() => take(null)}>Back to the string</button>
			</div>
		{/if}
		<VesselsDrawing {vessels} {volts} {names} {scaleV} {stop} {selected} />
		<div class="flex flex-wrap gap-2">
			<button class="btn tap" onclick={() => void step(-1)}>− a little</button>
			<button class="btn btn-primary tap" aria-pressed={playing === -1} onclick={() => play(-1)}
				>{playing === -1 ? 'Pause' : 'Run it down'}</button
			>
			<button class="btn btn-primary tap" aria-pressed={playing === 1} onclick={() => play(1)}
				>{playing === 1 ? 'Pause' : 'Charge it'}</button
			>
			<button class="btn tap" onclick={() => void step(1)}>+ a little</button>
			<button class="btn tap" onclick={restart}>From the beginning</button>
		</div>
		<p role="status" class="text-lg">
			{#if stop}<strong>{names[stop.cell]} is {stop.end}</strong> and stops the string; the others
				{stop.end === 'full' ? 'still have room' : 'still hold charge'} that nobody gets.
			{:else}From here {names[stops.full]} would stop the charge and {names[stops.empty]} the discharge.{/if}
			From full to empty this string gives <strong class="figure">{gives.toFixed(1)} Ah</strong>.
		</p>
		{#if !challenge}
			<div class="flex flex-wrap items-end gap-4">
				{#if own.length > 1}<Choice
						label="Cells"
						value={from}
						options={[
							{ value: 'example', text: 'four unlike ones' },
							{ value: 'own', text: `your own ${own.length}` }
						]}
						onchange={(value) => {
							from = value;
							restart();
						}}
					/>{/if}
				<Choice
					label="They begin"
					value={preset}
					options={[
						{ value: 'unbalanced', text: 'as they come' },
						{ value: 'top', text: 'full together' },
						{ value: 'bottom', text: 'empty together' }
					]}
					onchange={(value) => {
						preset = value;
						restart();
					}}
				/>
				<Choice
					label="Active balancer"
					value={String(activeA)}
					options={[
						{ value: '0', text: 'none' },
						{ value: '2', text: '2 A' },
						{ value: '5', text: '5 A' }
					]}
					onchange={(value) => (activeA = Number(value))}
				/>
			</div>
		{/if}
		<div class="flex flex-wrap items-center gap-2" role="group" aria-label="One cell alone">
			<span class="muted">One alone, with a supply or a load on it:</span>
			<select class="select tap w-32" aria-label="Cell" bind:value={selected}>
				{#each names as name, i (i)}<option value={i}>{name}</option>{/each}
			</select>
			<button class="btn tap" onclick={() => pourInto(POUR_AH)}>Pour in {POUR_AH} Ah</button>
			<button class="btn tap" onclick={() => pourInto(-POUR_AH)}>Take out {POUR_AH} Ah</button>
		</div>
		{#if challenge && challenge.asks !== 'vessels'}
			<div class="flex flex-wrap gap-2" role="group" aria-label="Your answer">
				{#each challenge.sentences ?? names as text, i (text)}<button
						class="btn tap"
						aria-pressed={chosen === i}
						onclick={() => (chosen = i)}>{text}</button
					>{/each}
			</div>
		{/if}
		{#if challenge && (solved || chosen !== null)}
			<p role="status" class="font-semibold">
				{solved ? `That is it. ${challenge.because}` : 'Not that one. Run it and see.'}
			</p>
		{/if}
		{#if from === 'own' && !challenge}<p class="muted">
				Capacities are your cells’ own; what each is filled with here is made up, since no reading tells it on the
				plateau.
			</p>{/if}
		<p class="muted">
			Alike in volts is not alike in charge: on the plateau a few millivolts hide a fifth of a cell. Only the two ends
			tell.
		</p>
	</section>
	<PhoneFold title="Six questions" class="mt-4">
		<ol class="grid gap-2 sm:grid-cols-2">
			{#each CHALLENGES as c (c.key)}<li>
					<button class="btn tap w-full justify-start text-left whitespace-normal" onclick={() => take(c)}
						>{c.question}</button
					>
				</li>{/each}
		</ol>
	</PhoneFold>
</StagePage>
