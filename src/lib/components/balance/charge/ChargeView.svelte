<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import type { Snippet } from 'svelte';
	import { goto } from '$app/navigation';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import type { BodyFor } from '$lib/client/api/api-shapes';
	import BeforeSupply from './BeforeSupply.svelte';
	import AfterCharge from '$lib/components/balance/charge/AfterCharge.svelte';
	import ChargeLog, { type NewReading } from '$lib/components/balance/charge/ChargeLog.svelte';
	import PlanFigures from '$lib/components/balance/charge/PlanFigures.svelte';
	import RowWarnings from '$lib/components/balance/charge/RowWarnings.svelte';
	import RowPicker from '$lib/components/balance/charge/RowPicker.svelte';
	import BalanceQuestion from '$lib/components/balance/BalanceQuestion.svelte';
	import { BALANCE_CHECKLIST } from '$lib/components/balance/charge/checklist';
	import Field from '$lib/components/forms/Field.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import Tray from '$lib/components/tray/Tray.svelte';
	import { USUAL_FOOTPRINT, type DrawnCell } from '$lib/components/tray/tray-cell';
	import { planLive } from '$lib/client/entry/plan-live';
	import { HOLD_S } from '$lib/core/foundation/parallel-charge';
	import { cellsOf } from '$lib/core/foundation/verdicts';
	import type { BalanceData } from '../balance-data';
	import { settingApart } from '$lib/client/entry/set-apart';
	import { formatDateTime, fromUserUnits } from '$lib/core/foundation/units';

	interface Props {
		data: BalanceData;
		views: Snippet;
	}
	let { data, views }: Props = $props();
	const bank = $derived(data.overview.bank);
	const balance = $derived(data.balance);
	const plan = $derived(balance.plan);
	const run = $derived(balance.run);
	const running = $derived(run !== null && run.startedAt !== null && run.endedAt === null);
	const ended = $derived(run !== null && run.startedAt !== null && run.endedAt !== null);
	const proved = $derived(ended && balance.progress?.done === true);
	// svelte-ignore state_referenced_locally
	let supply = $state({
		supplyA: data.balance.supply.supplyA as number | null,
		setV: (data.balance.run?.endedAt ? null : data.balance.supply.setV) as number | null,
		leadMohm: (data.balance.supply.leadOhm * 1000) as number | null,
		hoursADay: (data.balance.run ? (data.balance.run.hoursADay ?? null) : data.planned.hoursADay) as number | null
	});
	let setVReason = $state('');
	/** Ticked here, whether or not the server has heard of it yet. */
	let ticked = $state<Record<string, boolean>>({});
	const checks = $derived<Record<string, boolean>>({ ...run?.checklist, ...ticked });
	const allChecked = $derived(BALANCE_CHECKLIST.every((item) => checks[item.key]));

	const drawn = $derived.by((): DrawnCell[] =>
		balance.cells.map((c) => ({
			id: c.id,
			label: c.label,
			figure: c.restVoltageV === null ? null : c.restVoltageV.toFixed(3),
			// What it held on arrival says nothing once charge has gone in.
			minor: running || ended ? null : `${Math.round(c.socLow * 100)}–${Math.round(c.socHigh * 100)} %`,
			shade: null,
			warmth:
				balance.stopped.some((s) => s.id === c.id) && !ended
					? 'stop'
					: balance.join && cellsOf(balance.join.verdict).includes(c.id) && !running
						? balance.join.verdict.warmth
						: 'calm',
			mark: c.plusTurned ? 'turned' : null,
			turned: c.plusTurned
		}))
	);

	async function begin() {
		ticked = {};
		if (
			await attempt(() =>
				api.post('balance-runs', {
					bankId: bank.id,
					supplyA: Number(supply.supplyA),
					leadOhm: Number(supply.leadMohm) / 1000,
					setV: supply.setV ?? plan?.setV ?? null,
					hoursADay: supply.hoursADay ? Number(supply.hoursADay) : null,
					...(setVReason.trim() ? { setVReason: setVReason.trim() } : {}),
					cellIds: data.mayStand.filter((c) => c.inRow).map((c) => c.id),
					checklist: {}
				})
			)
		)
			await goto(`/banks/${bank.id}/balance/charge`, { invalidateAll: true, noScroll: true });
	}
	let queue = Promise.resolve();
	/** One change after the other, each on the version the one before left: ticking fast loses nothing. */
	function change(fields: () => object): Promise<void> {
		queue = queue.then(async () => {
			const current = balance.run;
			if (!current) return;
			const done = await attempt(() =>
				api.patch(`balance-runs/${current.id}`, { ...fields(), version: current.version })
			);
			if (!done) ticked = {};
			await lookAgain();
		});
		return queue;
	}
	async function end() {
		await change(() => ({ endedAt: new Date().toISOString() }));
		announce('The balance is ended.', () => void change(() => ({ endedAt: null })));
	}
	function tick(key: string, done: boolean) {
		ticked = { ...ticked, [key]: done };
		void change(() => ({ checklist: checks }));
	}
	async function followLive(how: {
		instruments: BodyFor<'post', 'live-runs'>['instruments'];
		temperature: number | null;
		intervalMs: number | null;
	}) {
		// Ticks that are still being stored would call this page back from where it goes.
		await queue;
		if (!run || !plan) return;
		const charge = {
			kind: 'charge' as const,
			voltageV: plan.setV,
			currentA: plan.setA,
			tailA: plan.tailA,
			holdS: HOLD_S
		};
		const { instruments, intervalMs } = how;
		const temperatureC = fromUserUnits(how.temperature, 'temperature', data.settings.units);
		await planLive(bank.id, {
			kind: 'balance',
			balanceRunId: run.id,
			instruments,
			intervalMs,
			temperatureC,
			phases: [charge]
		});
	}
	async function log(reading: NewReading): Promise<boolean> {
		if (!run) return false;
		const done = await attempt(() => api.post('balance-readings', { ...reading, balanceRunId: run.id }));
		if (done) await lookAgain();
		return done;
	}
	async function sayCounter(id: number, version: number, counterAnew: boolean) {
		if (await attempt(() => api.patch(`balance-readings/${id}`, { version, counterAnew }))) await lookAgain();
	}
	async function removeReading(id: number, version: number) {
		if (!(await attempt(() => api.remove(`balance-readings/${id}`, version)))) return;
		announce(
			'Reading taken out.',
			() =>
				void attempt(async () => {
					await api.restore(`balance-readings/${id}`);
					await lookAgain();
				})
		);
		await lookAgain();
	}
</script>

<StagePage
	title="Balance"
	subtitle="top balance, {balance.cells.length} cells in parallel"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'balance')}
>
	{@render views()}
	{#if balance.noPlan}
		<p class="sheet p-6"><strong>There is no plan for this charge.</strong> {balance.noPlan}</p>
	{:else if !plan}
		<p class="sheet mb-4 p-6">
			No cells yet: <a class="underline" href="/banks/{bank.id}/receive">unpack a delivery</a> or
			<a class="underline" href="/stock">pick some from the stock</a>. A row can be balanced before anything is tested
			or matched.
		</p>
		<BalanceQuestion {bank} cellAh={data.overview.cellType?.ratedAh ?? 100} />
	{:else}
		<div class="grid grid-cols-[minmax(0,1fr)] gap-4">
			<PhoneFold title="Cells in the row" answer="{drawn.length} cells" bare>
				<Tray
					cells={drawn}
					footprint={{
						widthMm: data.overview.cellType?.widthMm ?? USUAL_FOOTPRINT.widthMm,
						thicknessMm: data.overview.cellType?.thicknessMm ?? USUAL_FOOTPRINT.thicknessMm
					}}
					label="Cells in the parallel row, rest voltage and bounds of charge on arrival"
				/>
			</PhoneFold>
			{#if !run || ended}<RowPicker cells={data.mayStand} to="/banks/{bank.id}/balance/charge" />{/if}
			{#if !run}<RowWarnings {balance} />{/if}
			{#if proved}
				<AfterCharge bankId={bank.id} />
			{:else if !ended}
				<PlanFigures
					{plan}
					cells={balance.cells}
					open={!running}
					waking={{ fromH: data.settings.wakeFromH, untilH: data.settings.wakeUntilH }}
					dateStyle={data.settings.dateStyle}
					hoursADay={run ? (run.hoursADay ?? null) : supply.hoursADay ? Number(supply.hoursADay) : null}
				/>
			{/if}
			{#if ended && run}
				<ChargeLog
					runId={run!.id}
					readings={balance.readings}
					progress={balance.progress}
					toDeliverAh={plan.toDeliverAh}
					ended
					hoursADay={null}
					dateStyle={data.settings.dateStyle}
					onlog={log}
					onremove={removeReading}
					oncounter={sayCounter}
					onend={() => undefined}
				/>
				{#if !proved}
					<div class="sheet flex flex-wrap items-center gap-3 p-4">
						<button class="btn btn-primary tap" onclick={() => change(() => ({ endedAt: null }))}
							>Go on with this balance</button
						>
						<p class="muted">
							The log goes on where it was left. Check the supply against your meter before it goes on again.
						</p>
					</div>
				{/if}
			{/if}
			{#if !run || run.endedAt}
				<form
					class="sheet flex flex-wrap items-end gap-3 p-4"
					onsubmit={(e) => {
						e.preventDefault();
						void begin();
					}}
				>
					<Field label="Your supply gives at most" unit="A" type="number" bind:value={supply.supplyA} min="0.5" />
					<Field
						label="Its leads and clamps"
						unit="mΩ"
						type="number"
						bind:value={supply.leadMohm}
						min="0"
						hint="10 is usual for clamps"
					/>
					<Field
						label="Set to"
						unit="V"
						type="number"
						bind:value={supply.setV}
						placeholder={plan.setV.toFixed(2)}
						hint="{plan.setV.toFixed(2)} fills them to half a percent"
					/>
					<Field
						label="On only while I am there"
						unit="h a day"
						type="number"
						bind:value={supply.hoursADay}
						min="0.25"
						max="24"
						hint="blank: day and night"
					/>
					{#if plan && supply.setV !== null && Number(supply.setV) > plan.setV + 0.001}<Field
							label="Reason to set it above {plan.setV.toFixed(2)} V"
							bind:value={setVReason}
							maxlength={400}
							hint="up to the cell maker’s charge limit; do not leave cells held there"
						/>{/if}
					<button class="btn {run ? '' : 'btn-primary'} tap"
						>{run ? 'Plan another balance' : 'Plan this balance'}</button
					>
					{#if run?.endedAt}<p>Last one ended {formatDateTime(run.endedAt, data.settings.dateStyle)}.</p>{/if}
				</form>
			{:else if !running}
				<BeforeSupply
					{data}
					{plan}
					{checks}
					{allChecked}
					ontick={tick}
					onstart={() => change(() => ({ startedAt: new Date().toISOString() }))}
					onfollow={followLive}
				/>
			{:else}
				<ChargeLog
					runId={run!.id}
					readings={balance.readings}
					progress={balance.progress}
					toDeliverAh={plan.toDeliverAh}
					ended={false}
					hoursADay={run?.hoursADay ?? null}
					dateStyle={data.settings.dateStyle}
					onlog={log}
					onremove={removeReading}
					oncounter={sayCounter}
					onend={() => void end()}
				/>
			{/if}
			<BalanceQuestion {bank} cellAh={data.overview.cellType?.ratedAh ?? 100} />
		</div>
	{/if}
</StagePage>
