<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { announce, attempt } from '$lib/client/announce';
	import { api } from '$lib/client/api';
	import { settingApart } from '$lib/client/set-apart';
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import { limitText, limitsCsv, limitsText } from '$lib/components/limits/limit-sheet';
	import { STRATEGIES, type LimitValue, type Strategy } from '$lib/core/limits';
	import { formatDate, toUserUnits, unitOf } from '$lib/core/units';

	let { data } = $props();
	const bank = $derived(data.overview.bank);
	let batteryNumber = $state(1);
	const shownBattery = $derived(
		data.limits.batteries.find((b) => b.battery.number === batteryNumber) ?? data.limits.batteries[0] ?? null
	);
	const values = $derived(shownBattery?.values ?? []);
	const units = $derived(data.settings.units);
	const NAMES: Record<Strategy, string> = {
		'full-span': 'Full span',
		'middle-road': 'Middle road',
		'long-life': 'Long life'
	};
	const DEVICES = [
		{ device: 'BMS', title: 'In the BMS' },
		{ device: 'charger', title: 'In every charger' },
		{ device: 'load', title: 'At the load' }
	] as const;
	// svelte-ignore state_referenced_locally
	const planned = data.limits.plan;
	// svelte-ignore state_referenced_locally
	const own = data.overview.batteries.find((b) => b.kind === 'built') ?? null;
	let form = $state<{
		strategy: Strategy;
		bmsA: number | null;
		bmsMv: number | null;
		fuseA: number | null;
		cableA: number | null;
	}>({
		strategy: planned?.strategy ?? 'middle-road',
		bmsA: own?.bmsA ?? null,
		bmsMv: own?.bmsResolutionV ? own.bmsResolutionV * 1000 : null,
		fuseA: own?.fuseA ?? null,
		cableA: own?.cableA ?? null
	});

	const number = (v: number | null) => (v === null || (v as unknown) === '' ? null : Number(v));
	async function save() {
		const { strategy } = form;
		const wiring = {
			bmsA: number(form.bmsA),
			bmsResolutionV: number(form.bmsMv) === null ? null : Number(form.bmsMv) / 1000,
			fuseA: number(form.fuseA),
			cableA: number(form.cableA)
		};
		const plan = data.limits.plan;
		const done = await attempt(async () => {
			if (plan) await api.patch(`limit-plans/${plan.id}`, { strategy, version: plan.version });
			else await api.post('limit-plans', { strategy, bankId: bank.id });
			// Fuse, cable and BMS belong to each battery; alike ones are entered once.
			for (const b of data.overview.batteries.filter((b) => b.kind === 'built'))
				await api.patch(`batteries/${b.id}`, { ...wiring, version: b.version });
		});
		if (done) announce('Kept. The sheet below follows.');
		await invalidateAll();
	}
	async function copy() {
		await attempt(() => navigator.clipboard.writeText(limitsText(bank.name, values)));
		announce('Copied.');
	}
	function download(name: string, text: string, type: string) {
		const url = URL.createObjectURL(new Blob([text], { type }));
		Object.assign(document.createElement('a'), { href: url, download: name }).click();
		URL.revokeObjectURL(url);
	}
	const shownValue = (v: LimitValue, value: number) =>
		v.unit === '°C'
			? `${toUserUnits(value, 'temperature', units)!.toFixed(0)} ${unitOf('temperature', units)}`
			: `${limitText(value, v)} ${v.unit}`;
	const fileName = $derived(bank.name.replace(/[^\p{L}\p{N}]+/gu, '-').toLowerCase());
</script>

<StagePage
	title="Limits"
	subtitle="{NAMES[data.limits.plan?.strategy ?? 'middle-road']}{data.limits.plan
		? ''
		: ', not kept yet'}{shownBattery?.measuredGroupAh
		? ` · smallest group ${shownBattery.measuredGroupAh.toFixed(1)} Ah`
		: ' · capacity as printed'}"
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'limits')}
>
	{#snippet tools()}
		<div class="no-print flex flex-wrap gap-2">
			<button class="btn tap" onclick={copy} disabled={!values.length}>Copy</button>
			<button class="btn tap" onclick={() => print()} disabled={!values.length}>Print</button>
			<button
				class="btn tap"
				onclick={() => download(`${fileName}-limits.csv`, limitsCsv(values), 'text/csv')}
				disabled={!values.length}>CSV</button
			>
			<button
				class="btn tap"
				onclick={() =>
					download(
						`${fileName}-limits.json`,
						JSON.stringify({ bank: bank.name, series: bank.series, parallel: bank.parallel, values }, null, 2),
						'application/json'
					)}
				disabled={!values.length}>JSON</button
			>
		</div>
	{/snippet}
	<form
		class="sheet no-print mb-4 grid gap-4 p-4"
		onsubmit={(e) => {
			e.preventDefault();
			void save();
		}}
	>
		<Choice
			label="Strategy"
			bind:value={form.strategy}
			options={STRATEGIES.map((s) => ({ value: s, text: NAMES[s] }))}
			onchange={() => void save()}
		/>
		<div class="grid grid-cols-2 items-end gap-3 sm:grid-cols-5">
			<Field label="BMS continuous" unit="A" type="number" bind:value={form.bmsA} />
			<Field label="BMS resolution" unit="mV" type="number" bind:value={form.bmsMv} placeholder="1" />
			<Field label="Main fuse" unit="A" type="number" bind:value={form.fuseA} />
			<Field label="Cable" unit="A" type="number" bind:value={form.cableA} />
			<button class="btn btn-primary tap">Keep these</button>
		</div>
		{#if data.limits.batteries.length > 1}<p class="muted">
				Kept for each of the {data.limits.batteries.length} batteries built here.
			</p>{/if}
	</form>
	{#if data.limits.batteries.length > 1}
		<div class="no-print mb-3">
			<Choice
				label="Battery"
				value={String(batteryNumber)}
				options={data.limits.batteries.map(({ battery }) => ({
					value: String(battery.number),
					text: battery.name ?? `Battery ${battery.number}`
				}))}
				onchange={(n) => (batteryNumber = Number(n))}
			/>
		</div>
	{/if}
	<h2 class="hidden print:block">
		{bank.name} · {bank.series}S{bank.parallel}P · {formatDate(new Date().toISOString(), data.settings.dateStyle)}
	</h2>
	{#each DEVICES as { device, title } (device)}
		{@const rows = values.filter((v) => v.device === device)}
		{#if rows.length}
			<section class="sheet relative mb-4 overflow-x-auto p-2">
				<h2 class="px-2 pt-2">{title}</h2>
				<table class="table">
					<thead
						><tr
							><th>What</th><th class="text-right">Value</th><th class="text-right">Release</th><th class="text-right"
								>Delay</th
							><th>Why</th></tr
						></thead
					>
					<tbody>
						{#each rows as v (v.key)}
							<tr>
								<th scope="row" class="whitespace-nowrap font-semibold">{v.label}</th>
								<td class="figure text-right text-lg font-semibold whitespace-nowrap">{shownValue(v, v.value)}</td>
								<td class="figure text-right whitespace-nowrap"
									>{v.release === null || v.unit === 'A' ? '' : shownValue(v, v.release)}</td
								>
								<td class="figure text-right whitespace-nowrap">{v.delayS === null ? '' : `${v.delayS} s`}</td>
								<td class="text-[0.95rem]">{v.reason}</td>
							</tr>
						{/each}
					</tbody>
				</table>
			</section>
		{/if}
	{/each}
	<p class="muted">
		The cell maker’s sheet comes first; local codes and licensed practice decide fusing and disconnects. These checks
		were made on paper: prove every trip before you rely on it.
	</p>
</StagePage>
