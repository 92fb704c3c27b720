<script lang="ts">
	import { tick } from 'svelte';
	import { enhance } from '$app/forms';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { formKept } from '$lib/client/entry/form-kept';
	import { settingApart } from '$lib/client/entry/set-apart';
	import Choice from '$lib/components/forms/Choice.svelte';
	import HoldTyped from '$lib/components/forms/HoldTyped.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import WiringForm from '$lib/components/limits/WiringForm.svelte';
	import { limitText, limitsCsv, limitsText } from '$lib/components/limits/limit-sheet';
	import { STRATEGIES, type Strategy } from '$lib/core/picture';
	import type { LimitValue } from '$lib/core/limits/values';
	import { toUserUnits, unitOf } from '$lib/core/foundation/units';

	let { data, form } = $props();
	const bank = $derived(data.overview.bank);
	let batteryNumber = $state(1);
	const built = $derived(data.overview.batteries.filter((b) => b.kind === 'built'));
	const battery = $derived(built.find((b) => b.number === batteryNumber) ?? built[0] ?? null);
	const shownBattery = $derived(data.limits.batteries.find((b) => b.battery.number === battery?.number) ?? null);
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
	let strategy = $state<Strategy>(data.limits.plan?.strategy ?? 'middle-road');
	const refused = $derived(form?.fields ?? {});
	let strategyForm: HTMLFormElement;
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
	/** In a hand, what is settled is folded, and says its answer; it is all open where there is room, and on paper. */
	const openAtFirst = (fold: HTMLDetailsElement) => {
		fold.open = window.innerWidth >= 640;
		const onPaper = () => (fold.open = true);
		window.addEventListener('beforeprint', onPaper);
		return () => window.removeEventListener('beforeprint', onPaper);
	};
	const wired = ({ bmsA, fuseA, cableA }: { bmsA: number | null; fuseA: number | null; cableA: number | null }) =>
		[
			bmsA === null ? null : `BMS ${bmsA} A`,
			fuseA === null ? null : `fuse ${fuseA} A`,
			cableA === null ? null : `cable ${cableA} A`
		]
			.filter(Boolean)
			.join(' · ') || 'nothing written down yet';
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
	<div class="sheet no-print mb-4 grid gap-4 p-4">
		<form
			method="POST"
			action="?/strategy"
			class="flex flex-wrap items-end gap-3"
			bind:this={strategyForm}
			use:enhance={formKept()}
		>
			{#if data.limits.plan}<input type="hidden" name="version" value={data.limits.plan.version} />{/if}
			<Choice
				label="Strategy"
				name="strategy"
				bind:value={strategy}
				options={STRATEGIES.map((s) => ({ value: s, text: NAMES[s] }))}
				onchange={() => void tick().then(() => strategyForm.requestSubmit())}
			/>
			<button class="btn tap until-awake">Keep</button>
		</form>
		{#if built.length > 1}
			<Choice
				label="Battery"
				value={String(battery?.number)}
				options={built.map((b) => ({ value: String(b.number), text: b.name ?? `Battery ${b.number}` }))}
				onchange={(n) => (batteryNumber = Number(n))}
			/>
		{/if}
		{#if battery}<details open {@attach openAtFirst}>
				<summary class="tap flex cursor-pointer flex-wrap items-center gap-x-3"
					><span aria-hidden="true">›</span><strong>Fuse, cable and BMS</strong>
					<span class="muted figure">{wired(battery)}</span></summary
				>
				<HoldTyped record={battery}>
					{#snippet children(held)}<WiringForm battery={held} {refused} to="?/wiring" />{/snippet}
				</HoldTyped>
			</details>{/if}
	</div>
	{#each DEVICES as { device, title } (device)}
		{@const rows = values.filter((v) => v.device === device)}
		{#if rows.length}
			<details class="values sheet relative mb-3 overflow-x-auto p-2" open {@attach openAtFirst}>
				<summary class="tap flex cursor-pointer flex-wrap items-center gap-x-3 px-2"
					><span aria-hidden="true">›</span>
					<h2>{title}</h2>
					<span class="muted figure"
						>{rows
							.slice(0, 2)
							.map((v) => `${v.label} ${shownValue(v, v.value)}`)
							.join(' · ')}</span
					></summary
				>
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
								<td class="figure release text-right whitespace-nowrap"
									>{v.release === null || v.unit === 'A'
										? ''
										: shownValue(v, v.release)}{#if v.releaseHeldS !== null}<br /><span class="text-sm"
											>for {v.releaseHeldS / 60} min</span
										>{/if}</td
								>
								<td class="figure delay text-right whitespace-nowrap">{v.delayS === null ? '' : `${v.delayS} s`}</td>
								<td class="why text-[0.95rem]">{v.reason}</td>
							</tr>
						{/each}
					</tbody>
				</table>
			</details>
		{/if}
	{/each}
	<p class="muted">
		The cell maker’s sheet comes first; local codes and licensed practice decide fusing and disconnects. These checks
		were made on paper: prove every trip before you rely on it. Two things must be able to stop a charge: should the
		BMS’s switch fail closed, only the charger’s own limits hold the cells.
	</p>
</StagePage>

<style>
	/* One sheet of paper, for the inside of the box's lid. */
	@media print {
		.values {
			margin-bottom: 0.4rem;
			padding: 0.1rem;
			break-inside: avoid;
		}
		.values :is(th, td) {
			padding: 0.1rem 0.4rem;
			font-size: 0.85rem;
			line-height: 1.2;
		}
		.values .why {
			font-size: 0.72rem;
		}
	}
	/* In a hand no table: the name small, the figure large, the reason under it. */
	@media screen and (max-width: 640px) {
		.values table,
		.values tbody {
			display: block;
		}
		.values thead {
			position: absolute;
			clip-path: inset(50%);
		}
		.values tr {
			display: grid;
			grid-template-columns: 1fr auto;
			align-items: baseline;
			gap: 0 0.75rem;
			padding: 0.6rem 0.5rem;
		}
		.values th,
		.values td {
			padding: 0;
			border: 0;
		}
		.values th {
			white-space: normal;
		}
		.values .release:not(:empty)::before {
			content: 'release ';
			font-family: var(--font-sans);
			color: var(--muted);
		}
		.values .delay:not(:empty)::before {
			content: 'after ';
			font-family: var(--font-sans);
			color: var(--muted);
		}
		.values .release {
			grid-column: 1;
			text-align: left;
		}
		.values .why {
			grid-column: 1 / -1;
			color: var(--muted);
		}
	}
</style>
