<script lang="ts" module>
	import type { BodyFor } from '$lib/client/api/api-shapes';

	/** Of the cell before, min; null: the default. */
	const lastRest: { min: number | null } = $state({ min: null });

	/** A capacity run as it was filled in; temperature in the user's unit. */
	export interface CapacityPlan {
		instruments: BodyFor<'post', 'live-runs'>['instruments'];
		phases: BodyFor<'post', 'live-runs'>['phases'];
		temperature: number | null;
		/** Held at this temperature on purpose; null: as the room is. */
		heldAt: number | null;
		intervalMs: number | null;
	}
</script>

<script lang="ts">
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { ownUnits, shownIn } from '$lib/client/settings/own-style';
	import { fromUserUnits } from '$lib/core/foundation/units';
	import { builtInProtocols, type Protocol } from '$lib/core/test/clauses';
	import type { Clause } from '$lib/core/picture';
	import Protocols from '$lib/components/test/queue/Protocols.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import InstrumentSelect from '../../instruments/InstrumentSelect.svelte';
	import IntervalField from '../../instruments/IntervalField.svelte';
	import { fitting, type ShownInstrument } from '../../instruments/instrument-choice';

	interface CellLimits {
		ratedAh: number;
		chargeLimitV: number;
		dischargeLimitV: number;
		chargeCRate: number;
		dischargeCRate: number;
	}
	interface Props {
		cellLabel: string;
		instruments: ShownInstrument[];
		rehearsal: boolean;
		limits: CellLimits;
		temperatureUnit: string;
		/** Temperature of the room where the instruments know it, in the user's unit. */
		roomTemperature: number | null;
		/** What the maker promises of such a cell; null: nothing is written. */
		clause: Clause | null;
		/** Ways to run a cell that somebody has kept. */
		protocols: readonly (Protocol & { id: number; version: number })[];
		onplan: (plan: CapacityPlan) => void;
	}
	let {
		cellLabel,
		instruments,
		rehearsal,
		limits,
		temperatureUnit,
		roomTemperature,
		clause,
		protocols,
		onplan
	}: Props = $props();

	const supplies = $derived(fitting(instruments, 'supply', rehearsal));
	const loads = $derived(fitting(instruments, 'load', rehearsal));
	const meters = $derived(fitting(instruments, 'voltmeter', rehearsal));
	const shunts = $derived(fitting(instruments, 'shunt', rehearsal));
	// svelte-ignore state_referenced_locally
	let chosen = $state({
		supply: supplies[0]?.id ?? null,
		load: loads[0]?.id ?? null,
		voltmeter: meters[0]?.id ?? null,
		shunt: null as number | null
	});
	let intervalMs = $state<number | null>(null);
	/** Two digits, never above what it is taken from: a default is not refused by a limit it was rounded past. */
	const round = (amperes: number) => {
		const step = 10 ** (Math.floor(Math.log10(Math.max(amperes, 1e-9))) - 1);
		return Number((Math.floor(amperes / step + 1e-9) * step).toPrecision(2));
	};
	// svelte-ignore state_referenced_locally
	let values = $state({
		voltageV: limits.chargeLimitV as number | null,
		chargeA: round(Math.min(60, limits.chargeCRate * limits.ratedAh)) as number | null,
		tailA: round(0.05 * limits.ratedAh) as number | null,
		restMin: (lastRest.min ?? 30) as number | null,
		dischargeA: round(Math.min(150, 0.2 * limits.ratedAh, limits.dischargeCRate * limits.ratedAh)) as number | null,
		cutoffV: limits.dischargeLimitV as number | null,
		backAh: round(0.5 * limits.ratedAh) as number | null,
		temperature: roomTemperature,
		heldAt: null as number | null
	});

	const ways = $derived([...builtInProtocols(limits, clause), ...protocols]);
	function follow(way: Protocol) {
		const amps = (cRate: number | null, most: number, usual: number | null) =>
			cRate === null ? usual : round(Math.min(most, cRate * limits.ratedAh));
		values = {
			...values,
			// A promise may name more than the type's own sheet allows: what is offered is never refused.
			voltageV: Math.min(way.chargeV ?? values.voltageV ?? Infinity, limits.chargeLimitV),
			chargeA: amps(way.chargeCRate, Math.min(60, limits.chargeCRate * limits.ratedAh), values.chargeA),
			tailA: amps(way.tailCRate, Infinity, values.tailA),
			restMin: way.restH === null ? values.restMin : Math.max(1, Math.round(60 * way.restH)),
			dischargeA: amps(way.dischargeCRate, Math.min(150, limits.dischargeCRate * limits.ratedAh), values.dischargeA),
			cutoffV: Math.max(way.cutoffV ?? values.cutoffV ?? 0, limits.dischargeLimitV),
			heldAt: shownIn(way.temperatureC, 'temperature')
		};
	}
	let keptName = $state('');
	async function keepProtocol() {
		const rate = (amps: number | null) => (amps ? Number((amps / limits.ratedAh).toPrecision(4)) : null);
		const body = {
			name: keptName.trim(),
			...{ chargeV: values.voltageV, chargeCRate: rate(values.chargeA), tailCRate: rate(values.tailA) },
			...{ restH: values.restMin === null ? null : values.restMin / 60 },
			...{ dischargeCRate: rate(values.dischargeA), cutoffV: values.cutoffV },
			temperatureC: fromUserUnits(values.heldAt, 'temperature', ownUnits())
		};
		if (!(await attempt(() => api.post('protocols', body)))) return;
		announce(`“${body.name}” is kept among the protocols.`);
		keptName = '';
		await lookAgain();
	}
	async function takeOff({ id, version, name }: { id: number; version: number; name: string }) {
		if (!(await attempt(() => api.remove(`protocols/${id}`, version)))) return;
		announce(`“${name}” is taken out.`, () => void attempt(() => api.restore(`protocols/${id}`).then(lookAgain)));
		await lookAgain();
	}

	function plan(event: SubmitEvent) {
		event.preventDefault();
		// The next cell rests as long as this one, until somebody says otherwise.
		lastRest.min = values.restMin;
		const charge = {
			kind: 'charge' as const,
			voltageV: Number(values.voltageV),
			currentA: Number(values.chargeA),
			tailA: Number(values.tailA)
		};
		// Back at the pace of the test, so that it ends close to what was asked.
		const gentle = {
			currentA: Math.min(charge.currentA, Number(values.dischargeA)),
			tailA: Math.min(charge.tailA, Number(values.dischargeA) / 2)
		};
		const before = chosen.supply ? [charge, { kind: 'rest' as const, durationS: Number(values.restMin) * 60 }] : [];
		const after =
			chosen.supply && Number(values.backAh) > 0 ? [{ ...charge, ...gentle, stopAh: Number(values.backAh) }] : [];
		onplan({
			instruments: chosen,
			intervalMs,
			phases: [
				...before,
				{ kind: 'discharge' as const, currentA: Number(values.dischargeA), cutoffV: Number(values.cutoffV) },
				...after
			],
			temperature:
				values.temperature === null || (values.temperature as unknown) === '' ? null : Number(values.temperature),
			heldAt: values.heldAt === null || (values.heldAt as unknown) === '' ? null : Number(values.heldAt)
		});
	}
</script>

<form class="sheet grid gap-3 p-4" onsubmit={plan} aria-label="Run {cellLabel} live">
	<h2>Run {cellLabel} live</h2>
	{#if loads.length === 0}
		<p>
			No electronic load in the <a class="underline" href="/instruments">address book</a> yet. Until then, bring a tester’s
			log or enter the result by hand.
		</p>
	{:else}
		<Protocols {ways} onfollow={follow} />
		<div class="grid gap-3 sm:grid-cols-3">
			<InstrumentSelect
				label="Charge with"
				instruments={supplies}
				bind:value={chosen.supply}
				none="it is full already"
			/>
			<InstrumentSelect label="Discharge with" instruments={loads} bind:value={chosen.load} />
			<InstrumentSelect label="Meter at the terminals" instruments={meters} bind:value={chosen.voltmeter} none="none" />
			{#if shunts.length && !rehearsal}<InstrumentSelect
					label="Shunt in the same circuit"
					instruments={shunts}
					bind:value={chosen.shunt}
					none="none"
				/>{/if}
		</div>
		<div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
			{#if chosen.supply}
				<Field label="Charge to" unit="V" type="number" bind:value={values.voltageV} required />
				<Field label="at most" unit="A" type="number" bind:value={values.chargeA} required />
				<Field label="until" unit="A" type="number" bind:value={values.tailA} required />
				<Field label="then rest" unit="min" type="number" bind:value={values.restMin} required min="1" />
			{/if}
			<Field label="Discharge at" unit="A" type="number" bind:value={values.dischargeA} required />
			<Field label="to" unit="V" type="number" bind:value={values.cutoffV} required />
			{#if chosen.supply}<Field
					label="then charge back"
					unit="Ah"
					type="number"
					bind:value={values.backAh}
					min="0"
				/>{/if}
			<Field label="Temperature" unit={temperatureUnit} type="number" bind:value={values.temperature} />
			<Field label="Held on purpose at" unit={temperatureUnit} type="number" bind:value={values.heldAt} />
			<IntervalField {rehearsal} bind:intervalMs usualS={1} />
		</div>
		<p class="text-[0.95rem] muted">
			{#if values.heldAt !== null}Charged in the room, then left in the box or the cold until it is at that temperature
				all through: it is compared only with runs at the same one. Never charge a cell that is below its maker’s cold
				limit.
			{/if}{rehearsal
				? 'Your hands put the clips on this cell.'
				: `Put the clips on ${cellLabel} first, plus on the plus your meter found.`} Nothing is switched on before you have
			seen the values once more.
		</p>
		<div><button class="btn btn-primary tap">Show the values</button></div>
		<details>
			<summary class="tap cursor-pointer">Keep these as a protocol of your own</summary>
			<div class="mt-2 flex flex-wrap items-end gap-3">
				<div class="w-64"><Field label="Name" bind:value={keptName} maxlength={60} /></div>
				<button type="button" class="btn tap" disabled={!keptName.trim()} onclick={() => void keepProtocol()}
					>Keep it</button
				>
			</div>
			{#if protocols.length}<ul class="mt-2 grid gap-1">
					{#each protocols as own (own.id)}<li class="flex items-center gap-3">
							<span>{own.name}</span>
							<button type="button" class="btn btn-ghost tap" onclick={() => void takeOff(own)}>Take it out</button>
						</li>{/each}
				</ul>{/if}
		</details>
	{/if}
</form>
