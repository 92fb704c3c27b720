<script lang="ts">
	import type { ComponentProps } from 'svelte';
	import { inOwnStyle, measure } from '$lib/client/settings/own-style';
	import { enhance } from '$app/forms';
	import { formKept } from '$lib/client/entry/form-kept';
	import { batteryLayout } from '$lib/components/tray/battery-layout';
	import BatteryDrawing from '$lib/components/tray/BatteryDrawing.svelte';
	import ShapeChoice from '$lib/components/tray/ShapeChoice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import { usualTorque } from '$lib/core/build/conductors';
	import type { BatteryBuild } from '$lib/core/build/state';
	import type { StageVerdict } from '$lib/core/foundation/verdicts';
	import { formatDate, type Settings, localDay } from '$lib/core/foundation/units';

	type Stored = ComponentProps<typeof ShapeChoice>['battery'];
	interface Props {
		build: BatteryBuild;
		/** As it is stored, with its version; null: nobody may change it here. */
		stored: Stored | null;
		cellNames: readonly (readonly string[])[];
		verdicts: readonly StageVerdict[];
		/** The cell maker's torque, N·m; null: not said. */
		makerNm: number | null;
		dateStyle: Settings['dateStyle'];
		refused: Record<string, string>;
	}
	let { build, stored, cellNames, verdicts, makerNm, dateStyle, refused }: Props = $props();
	const usual = $derived(usualTorque(makerNm));
	const series = $derived(build.battery.series);
	const torqueOf = $derived(new Map(build.torques.map((t) => [t.position, t])));
	const odd = $derived(
		new Set(verdicts.filter((v) => v.code === 'torque-odd').map((v) => String(v.subject.id).split('/')[1]))
	);
	const joints = $derived(
		Array.from({ length: series + 1 }, (_, k) => {
			const torque = torqueOf.get(k);
			return {
				warmth: odd.has(String(k)) ? ('look' as const) : torque ? ('calm' as const) : ('open' as const),
				figure: torque ? measure(torque.torqueNm, 'torque', 1).split(' ')[0]! : null
			};
		})
	);
	const nameOf = (k: number) => (k === 0 ? 'battery −' : k === series ? 'battery +' : `group ${k} to ${k + 1}`);
	let form = $state<{ torqueNm: number | null; tightenedAt: string }>({
		// svelte-ignore state_referenced_locally
		torqueNm: makerNm,
		tightenedAt: localDay(new Date())
	});
	let fields = $derived(refused);
	let chosen = $state<number[]>([]);
	const bars = $derived(
		batteryLayout(series, build.battery.parallel, build.battery).bars.filter((b) => b.kind === 'bar')
	);
	const open = $derived(joints.flatMap((j, k) => (j.warmth === 'open' ? [k] : [])));
</script>

<section class="sheet grid gap-3 p-4" aria-label="Joints">
	<BatteryDrawing
		shape={build.battery}
		{series}
		parallel={build.battery.parallel}
		cells={cellNames}
		{joints}
		label="The battery from above; {open.length} of {series + 1} joints without a torque"
	/>
	{#if stored}<ShapeChoice battery={stored} />{/if}
	<p class="muted">
		{bars.length}
		{bars.length === 1 ? 'bar' : 'bars'} of two holes, {series + 1} joints: a joint is every pole and lug at one voltage.
		Faces bright, no film; bar flat; screw by hand first. {makerNm === null
			? `Torque by the cell maker’s sheet: for M6 in aluminium usually ${inOwnStyle(`${usual.low} to ${usual.high} N·m`)}.`
			: `The cell maker’s torque is ${measure(makerNm, 'torque', 1)}.`}
		Insulated wrench, nothing metal on wrists.
	</p>
	<form
		method="POST"
		action="?/torque"
		class="grid gap-3"
		use:enhance={formKept({ onfields: (refusals) => (fields = refusals), onkept: () => (chosen = []) })}
	>
		<input type="hidden" name="batteryId" value={build.battery.id} />
		<fieldset>
			<legend class="field-label">Which joints were tightened?</legend>
			<div class="joints">
				{#each joints as joint, k (k)}
					{@const torque = torqueOf.get(k)}
					<label class="tap joint" class:open={joint.warmth === 'open'} class:odd={joint.warmth === 'look'}>
						<input type="checkbox" name="position" value={k} bind:group={chosen} />
						<span><span class="figure">{k}</span> {nameOf(k)}</span>
						<span class="muted"
							>{torque
								? `${measure(torque.torqueNm, 'torque', 1)}, ${formatDate(torque.tightenedAt, dateStyle)}`
								: 'no torque yet'}</span
						>
					</label>
				{/each}
			</div>
			{#if fields.position}<p class="ember-text mt-1" role="alert">{fields.position}</p>{/if}
		</fieldset>
		<div class="grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
			<Field
				label="Torque"
				quantity="torque"
				type="number"
				name="torqueNm"
				bind:value={form.torqueNm}
				error={fields.torqueNm}
			/>
			<Field label="Day" type="date" name="tightenedAt" bind:value={form.tightenedAt} error={fields.tightenedAt} />
			<button type="button" class="btn tap" onclick={() => (chosen = open)} disabled={open.length === 0}
				>Choose the {open.length} open</button
			>
			<button class="btn btn-primary tap">Tick {chosen.length || ''} {chosen.length === 1 ? 'joint' : 'joints'}</button>
		</div>
	</form>
</section>

<style>
	@media (max-width: 640px) {
		.joint.joint {
			grid-template-columns: 1.6rem minmax(0, 1fr);
			gap: 0 0.3rem;
			line-height: 1.2;
			font-size: 0.9rem;
		}
		.joint > :nth-child(3) {
			grid-column: 2;
		}
	}
	.joints {
		display: grid;
		grid-template-columns: repeat(auto-fill, minmax(min(15rem, 44%), 1fr));
		gap: 0.3rem 1rem;
	}
	.joint {
		display: grid;
		grid-template-columns: 1.8rem 1fr auto;
		align-items: center;
		gap: 0.4rem;
		cursor: pointer;
	}
	.joint input {
		width: 1.4rem;
		height: 1.4rem;
		accent-color: var(--color-base-content);
	}
	.joint.odd .muted {
		color: var(--ember-text);
		font-weight: 700;
	}
</style>
