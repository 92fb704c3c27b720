<script lang="ts">
	import { settingApart } from '$lib/client/entry/set-apart';
	import BatteryChoice from '$lib/components/frame/BatteryChoice.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import StageViews from '$lib/components/frame/StageViews.svelte';
	import BmsView from '$lib/components/prove/BmsView.svelte';
	import ChargeView from '$lib/components/prove/ChargeView.svelte';
	import GateView from '$lib/components/prove/GateView.svelte';
	import LoadView from '$lib/components/prove/LoadView.svelte';

	let { data, form } = $props();
	const bank = $derived(data.overview.bank);
	const proof = $derived(data.proofs.find((p) => p.battery.number === data.battery) ?? data.proofs[0] ?? null);
	const refused = $derived<Record<string, string>>(form?.fields ?? {});
	const search = $derived(data.battery > 1 ? `?battery=${data.battery}` : '');
	const QUESTIONS = {
		gate: 'What has been checked?',
		joints: 'Is every joint sound?',
		bms: 'Does the BMS read true?',
		charge: 'Does it hold what it should?'
	};
	const made = $derived(proof ? Object.values(proof.checks).filter((state) => state !== 'open').length : 0);
	const subtitle = $derived(
		!proof
			? ''
			: {
					gate: `${made} of ${Object.keys(proof.checks).length} checks made`,
					joints: 'Voltages at rest and under a steady load',
					bms: 'Each group, by the BMS and by the voltmeter',
					charge: 'Ampere-hours in, out, and foretold'
				}[data.view]
	);
	const shared = $derived(
		proof
			? {
					bankId: bank.id,
					rehearsal: bank.rehearsal,
					battery: proof.battery,
					cellNames: data.cellNames[proof.battery.id] ?? [],
					verdicts: data.verdicts,
					instruments: data.instruments,
					dateStyle: data.settings.dateStyle
				}
			: null
	);
</script>

<StagePage title={QUESTIONS[data.view]} {subtitle} verdicts={data.verdicts} onsetapart={settingApart(bank.id, 'prove')}>
	{#snippet tools()}
		<BatteryChoice
			batteries={data.proofs.map((p) => p.battery)}
			chosen={proof?.battery.number ?? 1}
			path="/banks/{bank.id}/prove/{data.view}"
		/>
	{/snippet}
	<StageViews
		base="/banks/{bank.id}/prove"
		active={data.view}
		{search}
		views={[
			{ view: 'gate', name: 'The gate' },
			{ view: 'joints', name: 'Joints' },
			{ view: 'bms', name: 'BMS' },
			{ view: 'charge', name: 'Charge' }
		]}
	/>
	{#if !proof || !shared}
		<p class="sheet p-4">Ready-made batteries are proved by their maker; log a capacity test in Serve.</p>
	{:else}
		{#key proof.battery.id}
			{#if data.view === 'gate'}
				<GateView
					bankId={bank.id}
					{search}
					checks={proof.checks}
					temporaryParts={proof.temporaryParts}
					verdicts={data.verdicts}
				/>
			{:else if data.view === 'joints'}
				<LoadView {...shared} joints={proof.joints} reading={proof.loadReading} />
			{:else if data.view === 'bms'}
				<BmsView {...shared} comparison={proof.comparison} />
			{:else}
				<ChargeView
					battery={proof.battery}
					count={proof.count}
					test={proof.test}
					forecastAh={proof.forecastAh}
					dateStyle={data.settings.dateStyle}
					{refused}
				/>
			{/if}
		{/key}
	{/if}
</StagePage>
