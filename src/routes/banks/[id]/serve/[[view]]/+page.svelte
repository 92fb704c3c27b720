<script lang="ts">
	import { goto } from '$app/navigation';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { settingApart } from '$lib/client/entry/set-apart';
	import BatteryChoice from '$lib/components/frame/BatteryChoice.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import StageViews from '$lib/components/frame/StageViews.svelte';
	import AgeingView from '$lib/components/serve/AgeingView.svelte';
	import CapacityTestForm from '$lib/components/serve/CapacityTestForm.svelte';
	import ServiceHistory from '$lib/components/serve/ServiceHistory.svelte';
	import WatchForm from '$lib/components/serve/WatchForm.svelte';
	import { planLive } from '$lib/client/entry/plan-live';
	import CheckForm, { type NewCheck } from '$lib/components/serve/CheckForm.svelte';
	import Tray from '$lib/components/tray/Tray.svelte';
	import { USUAL_FOOTPRINT, shadesOf, type DrawnCell } from '$lib/components/tray/tray-cell';
	import type { Interval } from '$lib/core/foundation/statistics';
	import { formatDate, formatNumber } from '$lib/core/foundation/units';

	let { data, form } = $props();
	const refused = $derived<Record<string, string>>(form?.fields ?? {});
	const bank = $derived(data.overview.bank);
	const cellType = $derived(data.overview.cellType);
	const serve = $derived(data.serve!);
	const ratedAh = $derived(serve.ratedAh);
	const series = $derived(serve.battery.series);
	const judged = $derived(serve.checks.filter((c) => c.judgement.judged).at(-1) ?? null);
	const search = $derived(data.battery > 1 ? `?battery=${data.battery}` : '');
	const QUESTIONS = {
		findings: 'How is it doing?',
		logs: 'What was read, and when?',
		ageing: 'How long will it last?'
	};

	/** An interval too wide for its middle to stand alone. */
	const wide = (d: Interval | null) =>
		d && d.high95 - d.low95 > 0.005 * ratedAh ? `${formatNumber(d.low95, 0)} … ${formatNumber(d.high95, 0)}` : null;
	const drawn = $derived.by((): DrawnCell[] => {
		const drift = judged?.judgement.driftAh ?? Array.from({ length: series }, () => null);
		const shades = shadesOf(
			drift.map((d) => d?.likely ?? null),
			0.01 * ratedAh
		);
		const volts = judged?.check.groupVoltagesV ?? [];
		return Array.from({ length: series }, (_, i) => {
			const own = drift[i] ?? null;
			const limitAh = 0.01 * ratedAh;
			const warm = own !== null && (own.low95 > limitAh || own.high95 < -limitAh);
			return {
				id: i + 1,
				label:
					bank.parallel > 1
						? `Group ${i + 1}`
						: `${i + 1} ${data.placements.find((p) => p.position === i + 1)?.label ?? ''}`.trim(),
				figure: own === null ? null : formatNumber(own.likely, 1),
				minor: wide(own) ?? (volts[i] == null ? null : `${volts[i]!.toFixed(3)} V`),
				shade: shades[i] ?? null,
				warmth: warm ? 'look' : 'calm',
				mark: warm ? `${Math.max(own.low95, -own.high95).toFixed(1)}+ Ah ${own.likely < 0 ? 'behind' : 'ahead'}` : null
			};
		});
	});
	async function logCheck(check: NewCheck): Promise<boolean> {
		const done = await attempt(() => api.post('service-checks', { ...check, bankId: bank.id, battery: data.battery }));
		if (done) {
			await lookAgain();
			announce('Check kept.');
		}
		return done;
	}
	async function takeOut(kind: 'service-checks' | 'capacity-tests', id: number, version: number) {
		if (!(await attempt(() => api.remove(`${kind}/${id}`, version)))) return;
		announce(
			'Taken out.',
			() =>
				void attempt(async () => {
					await api.restore(`${kind}/${id}`);
					await lookAgain();
				})
		);
		await lookAgain();
	}
	async function pick(position: number) {
		const placed = data.placements.find((p) => p.position === position);
		if (placed) await goto(`/cells/${placed.cellId}`);
	}
</script>

<StagePage
	title={QUESTIONS[data.view]}
	subtitle="{serve.ageYears.toFixed(1)} years in service · {serve.tests.length} capacity tests · {serve.checks
		.length} checks"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'serve')}
>
	{#snippet tools()}
		<BatteryChoice
			batteries={data.overview.batteries.slice(0, bank.batteries)}
			chosen={data.battery}
			path="/banks/{bank.id}/serve/{data.view}"
		/>
	{/snippet}
	<StageViews
		base="/banks/{bank.id}/serve"
		active={data.view}
		{search}
		views={[
			{ view: 'findings', name: 'Findings' },
			{ view: 'logs', name: 'Logs' },
			{ view: 'ageing', name: 'Ageing' }
		]}
	/>
	<div class="grid grid-cols-[minmax(0,1fr)] gap-4">
		{#if data.view === 'findings'}
			<section>
				<Tray
					cells={drawn}
					onpick={pick}
					footprint={{
						widthMm: cellType?.widthMm ?? USUAL_FOOTPRINT.widthMm,
						thicknessMm: cellType?.thicknessMm ?? USUAL_FOOTPRINT.thicknessMm
					}}
					label="Drift of each group at the top, Ah"
				/>
				<p class="mt-2 text-[0.95rem] muted">
					{judged
						? `Ah ahead (+) or behind (−) the mean of the others, read ${judged.check.context} on ${formatDate(judged.check.checkedAt, data.settings.dateStyle)}.`
						: 'No check yet that can tell drift. Read every group at the end of a full charge.'}
				</p>
				{#if data.placements?.length}<details class="mt-2">
						<summary class="tap cursor-pointer">Exchange a cell, or see its passport</summary>
						<ul class="mt-2 flex flex-wrap gap-x-4 gap-y-1">
							{#each data.placements as p (p.cellId)}<li>
									<a class="tap inline-flex items-center underline underline-offset-4" href="/cells/{p.cellId}#exchange"
										>group {p.position}: {p.label}</a
									>
								</li>{/each}
						</ul>
					</details>{/if}
			</section>
			<p>
				<a class="btn btn-primary tap" href="/banks/{bank.id}/serve/logs{search}">Log a check or a capacity test</a>
			</p>
		{:else if data.view === 'ageing'}
			<AgeingView {serve} endFraction={bank.endFraction} />
		{:else}
			<WatchForm
				instruments={data.instruments}
				rehearsal={bank.rehearsal}
				onwatch={(plan) => void planLive(bank.id, { kind: 'watch', ...plan, phases: [{ kind: 'watch' }] })}
			/>
			<CheckForm chemistry={bank.chemistry} groups={bank.series} units={data.settings.units} onlog={logCheck} />
			<CapacityTestForm battery={data.battery} {refused} />
			<ServiceHistory {serve} dateStyle={data.settings.dateStyle} ontakeout={(...what) => void takeOut(...what)} />
		{/if}
	</div>
</StagePage>
