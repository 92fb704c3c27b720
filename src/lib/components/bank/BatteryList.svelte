<script lang="ts">
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import Choice from '$lib/components/forms/Choice.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import { READY_MADE_FIELDS, batteryFields, batteryForm, type BatteryRow } from './battery-form';

	interface Props {
		bankId: number;
		batteries: BatteryRow[];
	}
	let { bankId, batteries }: Props = $props();
	let editing = $state<number | null>(null);
	// svelte-ignore state_referenced_locally
	let form = $state(batteryForm(batteries[0] ?? null));
	let fields = $state<Record<string, string>>({});

	function edit(battery: BatteryRow) {
		editing = editing === battery.id ? null : battery.id;
		form = batteryForm(battery);
		fields = {};
	}
	/** What was refused stands beside its field. */
	const noting = (work: () => Promise<unknown>) => attempt(work, (refused) => (fields = refused));
	async function save(battery: BatteryRow) {
		fields = {};
		const body = { ...batteryFields(form), version: battery.version };
		if (!(await noting(() => api.patch(`batteries/${battery.id}`, body)))) return;
		editing = null;
		announce('Kept.');
		await lookAgain();
	}
	async function add() {
		if (await attempt(() => api.post('batteries', { bankId }))) await lookAgain();
	}
	async function takeOut({ id, version, number }: BatteryRow) {
		if (!(await attempt(() => api.remove(`batteries/${id}`, version)))) return;
		announce(
			`Battery ${number} taken out.`,
			() =>
				void attempt(async () => {
					await api.restore(`batteries/${id}`);
					await lookAgain();
				})
		);
		await lookAgain();
	}
	const describe = (b: BatteryRow) =>
		b.kind === 'built'
			? `built here, ${b.series}S${b.parallel}P`
			: `ready-made${b.maker ? ` by ${b.maker}` : ''}, ${b.ratedAh} Ah${b.nominalV ? `, ${b.nominalV} V` : ''}, in ${b.joins}`;
</script>

<section class="sheet mt-4 p-4" aria-label="Batteries">
	<h2>Batteries</h2>
	<ul class="my-2 grid gap-2">
		{#each batteries as battery, i (battery.id)}
			<li>
				<div class="flex flex-wrap items-center gap-x-4 gap-y-1">
					<strong>{battery.name ?? `Battery ${battery.number}`}</strong>
					<span class="figure">{describe(battery)}</span>
					<button class="btn tap" aria-expanded={editing === battery.id} onclick={() => edit(battery)}
						>Change{battery.name ? ` ${battery.name}` : ` battery ${battery.number}`}</button
					>
					{#if i > 0 && i === batteries.length - 1}<button class="btn btn-ghost tap" onclick={() => takeOut(battery)}
							>Take battery {battery.number} out</button
						>{/if}
				</div>
				{#if editing === battery.id}
					<form
						class="mt-2 grid gap-3"
						novalidate
						onsubmit={(event) => {
							event.preventDefault();
							void save(battery);
						}}
					>
						<Choice
							label="Kind"
							bind:value={form.kind}
							options={[
								{ value: 'built', text: 'Built here from cells' },
								{ value: 'ready-made', text: 'Ready-made, with its own BMS' }
							]}
						/>
						<div class="grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
							<Field label="Name" bind:value={form.name} error={fields.name} />
							<Field label="In use since" type="date" bind:value={form.newOn} error={fields.newOn} />
							<Field label="Main fuse" unit="A" type="number" bind:value={form.fuseA} error={fields.fuseA} />
							<Field label="Cable" unit="A" type="number" bind:value={form.cableA} error={fields.cableA} />
							{#if form.kind === 'built'}
								<Field label="BMS continuous" unit="A" type="number" bind:value={form.bmsA} error={fields.bmsA} />
								<Field
									label="BMS made for, fewest"
									unit="cells"
									type="number"
									bind:value={form.bmsLeastCells}
									error={fields.bmsLeastCells}
								/>
								<Field
									label="and most"
									unit="cells"
									type="number"
									bind:value={form.bmsMostCells}
									error={fields.bmsMostCells}
								/>
							{/if}
						</div>
						{#if form.kind === 'ready-made'}
							<Choice
								label="How it joins the others"
								bind:value={form.joins}
								options={[
									{ value: 'parallel', text: 'Side by side' },
									{ value: 'series', text: 'In series' }
								]}
							/>
							<div class="grid grid-cols-2 items-end gap-3 sm:grid-cols-4">
								<Field label="Maker" bind:value={form.maker} error={fields.maker} />
								{#each READY_MADE_FIELDS as { key, label, unit } (key)}
									<Field {label} {unit} type="number" bind:value={form[key]} error={fields[key]} />
								{/each}
							</div>
							<p class="text-sm muted">
								As on its label and in its maker’s sheet. In series each BMS must block the voltage of the whole string
								when it opens alone: only where the maker allows it.
							</p>
						{/if}
						<div><button class="btn btn-primary tap">Keep it</button></div>
					</form>
				{/if}
			</li>
		{/each}
	</ul>
	<button class="btn tap" onclick={add}>Add a battery</button>
</section>
