<script lang="ts">
	import { settingApart } from '$lib/client/entry/set-apart';
	import JointsView from '$lib/components/build/JointsView.svelte';
	import LeadsView from '$lib/components/build/LeadsView.svelte';
	import WorkForm from '$lib/components/build/WorkForm.svelte';
	import PartsView from '$lib/components/build/PartsView.svelte';
	import HoldTyped from '$lib/components/forms/HoldTyped.svelte';
	import BatteryChoice from '$lib/components/frame/BatteryChoice.svelte';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import StageViews from '$lib/components/frame/StageViews.svelte';
	import WiringForm from '$lib/components/limits/WiringForm.svelte';

	let { data, form } = $props();
	const bank = $derived(data.overview.bank);
	const build = $derived(data.builds.find((b) => b.battery.number === data.battery) ?? data.builds[0] ?? null);
	const stored = $derived(data.overview.batteries.find((b) => b.id === build?.battery.id) ?? null);
	const refused = $derived<Record<string, string>>(form?.fields ?? {});
	const search = $derived(data.battery > 1 ? `?battery=${data.battery}` : '');
	const QUESTIONS = {
		leads: 'Which lead goes where?',
		joints: 'Is every joint tightened?',
		wiring: 'What guards the cable?',
		parts: 'What must come out again?'
	};
	const subtitle = $derived.by(() => {
		if (!build) return '';
		const { series } = build.battery;
		switch (data.view) {
			case 'leads':
				return `${series + 1} leads, read against battery negative with the plug out`;
			case 'joints':
				return `${build.torques.length} of ${series + 1} joints have their torque`;
			case 'wiring':
				return 'By their own labels; Limits reckons with them';
			case 'parts':
				return build.temporaryParts.length ? `${build.temporaryParts.length} in` : 'none in';
		}
	});
</script>

<StagePage title={QUESTIONS[data.view]} {subtitle} verdicts={data.verdicts} onsetapart={settingApart(bank.id, 'build')}>
	{#snippet tools()}
		<BatteryChoice
			batteries={data.builds.map((b) => b.battery)}
			chosen={build?.battery.number ?? 1}
			path="/banks/{bank.id}/build/{data.view}"
		/>
	{/snippet}
	<StageViews
		base="/banks/{bank.id}/build"
		active={data.view}
		{search}
		views={[
			{ view: 'leads', name: 'Leads' },
			{ view: 'joints', name: 'Joints' },
			{ view: 'wiring', name: 'Fuse and cable' },
			{ view: 'parts', name: 'Temporary parts' }
		]}
	/>
	{#if !build}
		<p class="sheet p-4">Ready-made batteries come built: there is nothing to wire inside them.</p>
	{:else if data.view === 'leads'}
		{#key build.battery.id}<LeadsView
				bankId={bank.id}
				rehearsal={bank.rehearsal}
				{build}
				cellNames={data.cellNames[build.battery.id] ?? []}
				instruments={data.instruments}
			/>{/key}
	{:else if data.view === 'joints'}
		<JointsView
			{build}
			{stored}
			cellNames={data.cellNames[build.battery.id] ?? []}
			verdicts={data.verdicts}
			makerNm={data.overview.cellType?.torqueNm ?? null}
			dateStyle={data.settings.dateStyle}
			{refused}
		/>
	{:else if data.view === 'wiring' && stored}
		<div class="sheet grid gap-3 p-4">
			<HoldTyped record={stored}>
				{#snippet children(held)}<WiringForm battery={held} {refused} to="?/wiring" />{/snippet}
			</HoldTyped>
			<p class="muted">
				The main fuse sits at the battery’s own terminal, before BMS and loads; its DC rating is above the full pack
				voltage, and what it can break above what the cells can give into a short. Check the cable’s figure against its
				insulation, its bundling, and the code where you live. <a class="link" href="/banks/{bank.id}/limits">Limits</a> compares
				every pair.
			</p>
		</div>
	{:else if data.view === 'parts'}
		<PartsView {build} dateStyle={data.settings.dateStyle} {refused} />
	{/if}
	{#if build}<WorkForm {build} {refused} />{/if}
</StagePage>
