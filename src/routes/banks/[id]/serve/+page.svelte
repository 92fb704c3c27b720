<script lang="ts">
	import { enhance } from '$app/forms';
	import { goto } from '$app/navigation';
	import { lookAgain } from '$lib/client/look-again';
	import { announce, attempt } from '$lib/client/announce';
	import { api } from '$lib/client/api';
	import { formKept } from '$lib/client/form-kept';
	import { settingApart } from '$lib/client/set-apart';
	import FadeChart from '$lib/components/charts/FadeChart.svelte';
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import WhenField from '$lib/components/forms/WhenField.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import WhatIf from '$lib/components/serve/WhatIf.svelte';
	import WatchForm from '$lib/components/serve/WatchForm.svelte';
	import { planLive } from '$lib/client/plan-live';
	import CheckForm, { type NewCheck } from '$lib/components/serve/CheckForm.svelte';
	import Tray from '$lib/components/tray/Tray.svelte';
	import { USUAL_FOOTPRINT, shadesOf, type DrawnCell } from '$lib/components/tray/tray-cell';
	import type { Interval } from '$lib/core/shared';
	import { formatDate, formatNumber } from '$lib/core/units';

	let { data, form } = $props();
	let fields = $derived<Record<string, string>>(form?.fields ?? {});
	const bank = $derived(data.overview.bank);
	const cellType = $derived(data.overview.cellType);
	const serve = $derived(data.serve!);
	const ratedAh = $derived(serve.ratedAh);
	const series = $derived(serve.battery.series);
	const judged = $derived(serve.checks.filter((c) => c.judgement.judged).at(-1) ?? null);
	let test = $state<{
		capacityAh: number | null;
		sdAh: number | null;
		efc: number | null;
		testedAt: string | null;
		testedDoubtS: number | null;
	}>({
		capacityAh: null,
		sdAh: null,
		efc: null,
		testedAt: null,
		testedDoubtS: null
	});

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
	title="Serve"
	subtitle="{serve.ageYears.toFixed(1)} years in service · {serve.tests.length} capacity tests · {serve.checks
		.length} checks"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'serve')}
>
	{#snippet tools()}
		{#if bank.batteries > 1}<Choice
				quiet
				label="Battery"
				value={String(data.battery)}
				options={Array.from({ length: bank.batteries }, (_, i) => ({ value: String(i + 1), text: `Battery ${i + 1}` }))}
				onchange={(b) => void goto(`?battery=${b}`)}
			/>{/if}
	{/snippet}
	<div class="grid grid-cols-[minmax(0,1fr)] gap-4">
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
		{#if serve.projection}
			<section class="sheet p-4" aria-label="Capacity over the years">
				<h2>Capacity over the years</h2>
				<FadeChart
					projection={serve.projection}
					tests={serve.tests.map((t) => ({
						ageYears: t.ageYears,
						fraction: t.capacityAh / ratedAh,
						sd: t.sdAh / ratedAh
					}))}
					endFraction={bank.endFraction}
					ageYears={serve.ageYears}
				/>
				<p class="text-sm muted">
					Dots: tests ± 2 sd. Band: where the true capacity lies with 95 %. {serve.efcPerYear === null
						? 'Nobody counted the cycles; 75 to 225 a year are taken'
						: `${serve.efcPerYear.toFixed(0)} full cycles a year`} from here on. Calendar fade {(
						serve.projection.posterior.a.mean * 100
					).toFixed(1)} ± {(serve.projection.posterior.a.sd * 100).toFixed(1)} % per √year; cycles {(
						serve.projection.posterior.b.mean * 1e5
					).toFixed(1)} ± {(serve.projection.posterior.b.sd * 1e5).toFixed(1)} % per 1000.
				</p>
				<WhatIf
					fade={{
						ratedAh,
						endFraction: bank.endFraction,
						observations: serve.tests,
						efcPerYear: serve.efcPerYear
					}}
				/>
			</section>
		{/if}
		<WatchForm
			instruments={data.instruments}
			rehearsal={bank.rehearsal}
			onwatch={(plan) => void planLive(bank.id, { kind: 'watch', ...plan, phases: [{ kind: 'watch' }] })}
		/>
		<CheckForm chemistry={bank.chemistry} groups={bank.series} units={data.settings.units} onlog={logCheck} />
		<form
			method="POST"
			action="?/test&battery={data.battery}"
			class="sheet grid items-end gap-3 p-4 sm:grid-cols-4"
			use:enhance={formKept({
				onfields: (refusals) => (fields = refusals),
				onkept: () => (test = { ...test, capacityAh: null, sdAh: null })
			})}
		>
			<input type="hidden" name="battery" value={data.battery} />
			<h2 class="sm:col-span-4">Log a capacity test</h2>
			<div class="sm:col-span-4">
				<WhenField
					bind:at={test.testedAt}
					bind:doubtS={test.testedDoubtS}
					names={{ at: 'testedAt', doubtS: 'testedDoubtS' }}
				/>
			</div>
			<Field
				label="Capacity"
				unit="Ah"
				type="number"
				name="capacityAh"
				bind:value={test.capacityAh}
				error={fields.capacityAh}
			/>
			<Field
				label="Usually off by, ±"
				unit="Ah"
				type="number"
				name="sdAh"
				bind:value={test.sdAh}
				placeholder="1 % of it"
				error={fields.sdAh}
			/>
			<Field
				label="Full cycles so far"
				unit="EFC"
				type="number"
				placeholder="not counted"
				name="efc"
				bind:value={test.efc}
				error={fields.efc}
			/>
			<button class="btn btn-primary tap">Log the test</button>
		</form>
		<section class="sheet relative overflow-x-auto p-2">
			<h2 class="p-2">What was logged</h2>
			<table class="table">
				<thead
					><tr
						><th>When</th><th>What</th><th>Figures</th><th>Judged</th><th><span class="sr-only">Take out</span></th></tr
					></thead
				>
				<tbody>
					{#each [...serve.checks].reverse() as { check, judgement } (check.id)}
						<tr
							><td class="whitespace-nowrap">{formatDate(check.checkedAt, data.settings.dateStyle)}</td><td
								>Check, {check.context}</td
							><td class="figure whitespace-nowrap">{check.currentA.toFixed(1)} A</td><td
								>{judgement.judged ? judgement.verdicts[0]!.title : judgement.reason}{check.notes
									? ` “${check.notes}”`
									: ''}</td
							><td
								><button class="btn btn-ghost tap" onclick={() => takeOut('service-checks', check.id, check.version)}
									>Take out</button
								></td
							></tr
						>
					{/each}
					{#each [...serve.tests].reverse() as t (t.id)}
						<tr
							><td class="whitespace-nowrap">{formatDate(t.testedAt, data.settings.dateStyle)}</td><td>Capacity test</td
							><td class="figure whitespace-nowrap">{t.capacityAh.toFixed(1)} ± {t.sdAh.toFixed(1)} Ah</td><td
								>{((t.capacityAh / ratedAh) * 100).toFixed(1)} % of rated, {t.efc === null
									? 'cycles not counted'
									: `${t.efc.toFixed(0)} EFC`}{t.notes ? ` “${t.notes}”` : ''}</td
							><td
								><button class="btn btn-ghost tap" onclick={() => takeOut('capacity-tests', t.id, t.version)}
									>Take out</button
								></td
							></tr
						>
					{/each}
				</tbody>
			</table>
		</section>
	</div>
</StagePage>
