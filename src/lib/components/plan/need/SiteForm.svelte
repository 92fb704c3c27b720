<script lang="ts">
	import type { PlanDesk } from '$lib/client/entry/plan-desk.svelte';
	import type { YearOfUse } from '$lib/core/plan/use-year';
	import { MONTH_NAMES } from '$lib/core/foundation/time';
	import { hoursText, parseHours } from '$lib/core/foundation/time';
	import Fold from '$lib/components/frame/Fold.svelte';
	import PlanNumber from '../PlanNumber.svelte';

	interface Props {
		desk: PlanDesk;
		year: YearOfUse | null;
	}
	let { desk, year }: Props = $props();
	const plan = $derived(desk.plan);
	const FACING = [
		{ azimuthDeg: 180, text: 'south' },
		{ azimuthDeg: 135, text: 'south-east' },
		{ azimuthDeg: 225, text: 'south-west' },
		{ azimuthDeg: 90, text: 'east' },
		{ azimuthDeg: 270, text: 'west' },
		{ azimuthDeg: 0, text: 'north' }
	];
	const panelsText = $derived(
		plan.fields.length
			? plan.fields
					.map(
						(f) =>
							`${f.w} W ${f.tiltDeg}° ${FACING.find((a) => a.azimuthDeg === f.azimuthDeg)?.text ?? `${f.azimuthDeg}°`}`
					)
					.join(', ')
			: 'none'
	);
	const field = (i: number, changes: object) =>
		desk.change({ fields: plan.fields.map((f, k) => (k === i ? { ...f, ...changes } : f)) });
	/** A month changed makes the twelve the person's own; what was shown before stands for the others. */
	function month(key: 'sunHours' | 'airC', m: number, value: number | null) {
		const shown = plan[key] ?? year?.[key];
		if (!shown || value === null) return;
		desk.change({ [key]: shown.map((v, k) => (k === m ? value : Number(v.toFixed(2)))) });
	}
	let sourceHours = $state('');
	let badHours = $state(false);
	function addSource(w: number | null) {
		const hours = parseHours(sourceHours || '10-12');
		badHours = hours === null;
		if (w && hours) desk.change({ sources: [...plan.sources, { w, hours, months: null }] });
	}
</script>

<div class="mt-4 grid gap-3">
	<Fold
		title="Where it stands"
		answer={plan.latitudeDeg === null ? null : `latitude ${plan.latitudeDeg}°`}
		warm={plan.latitudeDeg === null}
		start={plan.latitudeDeg === null ? 'open' : 'folded'}
	>
		<PlanNumber
			label="Latitude"
			unit="°, south negative"
			value={plan.latitudeDeg}
			onkeep={(latitudeDeg) => desk.change({ latitudeDeg })}
			class="max-w-60"
		/>
	</Fold>
	<Fold title="Panels" answer={panelsText}>
		{#each plan.fields as { w, tiltDeg, azimuthDeg }, i (i)}
			<div class="grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
				<PlanNumber label="Panels" unit="W" value={w} onkeep={(v) => field(i, { w: v ?? 0 })} />
				<PlanNumber label="Tilt" unit="°, 0 lies flat" value={tiltDeg} onkeep={(v) => field(i, { tiltDeg: v ?? 0 })} />
				<label
					><span class="field-label">Facing</span>
					<select
						class="select tap w-full"
						value={azimuthDeg}
						onchange={(e) => field(i, { azimuthDeg: Number(e.currentTarget.value) })}
					>
						{#each FACING as way (way.azimuthDeg)}<option value={way.azimuthDeg}>{way.text}</option>{/each}
						{#if !FACING.some((a) => a.azimuthDeg === azimuthDeg)}<option value={azimuthDeg}>{azimuthDeg}°</option>{/if}
					</select></label
				>
				<button class="btn btn-ghost tap" onclick={() => desk.change({ fields: plan.fields.filter((_, k) => k !== i) })}
					>Take it off</button
				>
			</div>
		{/each}
		<div>
			<button
				class="btn tap"
				onclick={() =>
					desk.change({
						fields: [...plan.fields, { w: 400, tiltDeg: 30, azimuthDeg: (plan.latitudeDeg ?? 45) < 0 ? 0 : 180 }]
					})}>{plan.fields.length ? 'Another field' : 'Add panels'}</button
			>
		</div>
	</Fold>
	<Fold
		title="Sun hours and air"
		answer="{plan.sunHours ? 'your sun hours' : 'usual sun hours'}, {plan.airC
			? 'your temperatures'
			: 'usual temperatures'}"
	>
		<p class="muted">
			Sun on a level square metre, kWh a day; not the figure of a tilted plane. {plan.sunHours
				? 'These are yours.'
				: 'Usual for the latitude, rough: any month you change makes them yours.'}
		</p>
		<div class="grid grid-cols-3 gap-2 sm:grid-cols-6">
			{#each MONTH_NAMES as name, m (name)}
				<PlanNumber
					label={name}
					value={plan.sunHours?.[m] ?? null}
					usual={year ? year.sunHours[m]!.toFixed(2) : undefined}
					onkeep={(v) => month('sunHours', m, v)}
				/>
			{/each}
		</div>
		{#if plan.sunHours}<button
				class="btn btn-ghost tap justify-self-start"
				onclick={() => desk.change({ sunHours: null })}>The usual ones again</button
			>{/if}
		<p class="muted">Air on the mean of the month.</p>
		<div class="grid grid-cols-3 gap-2 sm:grid-cols-6">
			{#each MONTH_NAMES as name, m (name)}
				<PlanNumber
					label={name}
					value={plan.airC?.[m] ?? null}
					usual={year ? year.airC[m]!.toFixed(0) : undefined}
					onkeep={(v) => month('airC', m, v)}
				/>
			{/each}
		</div>
		<PlanNumber
			label="The box is kept at least at"
			quantity="temperature"
			value={plan.boxWarmC}
			usual="as the air"
			onkeep={(boxWarmC) => desk.change({ boxWarmC })}
			class="max-w-60"
		/>
	</Fold>
	<Fold
		title="Alternator, shore, generator"
		answer={[
			...plan.sources.map((s) => `${s.w} W ${hoursText(s.hours)}`),
			...(plan.generator ? [`generator ${plan.generator.w} W`] : [])
		].join(', ') || 'none'}
	>
		{#each plan.sources as source, i (i)}
			<p class="flex flex-wrap items-center justify-between gap-3">
				<span><span class="figure font-semibold">{source.w} W</span> {hoursText(source.hours)}</span>
				<button
					class="btn btn-ghost tap"
					onclick={() => desk.change({ sources: plan.sources.filter((_, k) => k !== i) })}>Take it off</button
				>
			</p>
		{/each}
		<div class="grid grid-cols-2 gap-3">
			<label
				><span class="field-label">Hours of a source</span>
				<input
					class="input tap w-full"
					class:input-error={badHours}
					placeholder="10–12"
					bind:value={sourceHours}
				/></label
			>
			<PlanNumber label="and what it brings" unit="W, DC" value={null} onkeep={addSource} />
		</div>
		<div class="grid grid-cols-3 gap-3">
			<PlanNumber
				label="Generator"
				unit="W"
				value={plan.generator?.w ?? null}
				usual="none"
				onkeep={(w) => desk.change({ generator: w ? { startSoc: 0.2, stopSoc: 0.8, ...plan.generator, w } : null })}
			/>
			{#if plan.generator}
				<PlanNumber
					label="on below"
					unit="%"
					value={plan.generator.startSoc}
					times={100}
					onkeep={(v) => desk.change({ generator: { ...plan.generator!, startSoc: v ?? 0.2 } })}
				/>
				<PlanNumber
					label="off above"
					unit="%"
					value={plan.generator.stopSoc}
					times={100}
					onkeep={(v) => desk.change({ generator: { ...plan.generator!, stopSoc: v ?? 0.8 } })}
				/>
			{/if}
		</div>
	</Fold>
</div>
