<script lang="ts">
	import { inOwnStyle } from '$lib/client/settings/own-style';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import Field from '$lib/components/forms/Field.svelte';
	import { CLAUSE_KINDS, type Clause, type ClauseKind } from '$lib/core/picture';

	interface Props {
		cellType: { id: number; name: string; ratedAh: number };
	}
	let { cellType }: Props = $props();
	type Stored = Clause & { id: number; version: number; source: string | null };
	let clauses = $state<Stored[]>([]);
	async function load(id: number) {
		const { items } = (await api.get('clauses', { cellTypeId: id })) as { items: Stored[] };
		if (id === cellType.id) clauses = items;
	}
	$effect(() => void load(cellType.id).catch(() => undefined));
	const NEW = {
		kind: 'minimum' as ClauseKind,
		...{ capacityAh: null as number | null, chargeV: null as number | null, tailCRate: null as number | null },
		...{ restH: null as number | null, dischargeCRate: null as number | null, cutoffV: null as number | null },
		...{ temperatureC: null as number | null, source: '' }
	};
	let draft = $state({ ...NEW });
	let fields = $state<Record<string, string>>({});

	async function add(event: SubmitEvent) {
		event.preventDefault();
		fields = draft.capacityAh === null ? { capacityAh: 'How many ampere-hours?' } : {};
		if (draft.capacityAh === null) return;
		const body = { ...draft, cellTypeId: cellType.id, source: draft.source || null };
		const done = await attempt(
			() => api.post('clauses', body),
			(refused) => (fields = refused)
		);
		if (!done) return;
		draft = { ...NEW };
		await load(cellType.id);
		await lookAgain();
	}
	async function takeOff({ id, version, kind }: Stored) {
		if (!(await attempt(() => api.remove(`clauses/${id}`, version)))) return;
		announce(
			`The ${kind} is taken off.`,
			() =>
				void attempt(async () => {
					await api.restore(`clauses/${id}`);
					await load(cellType.id);
				})
		);
		await load(cellType.id);
		await lookAgain();
	}
	const words = (c: Stored) =>
		[
			c.chargeV === null ? null : `charged to ${c.chargeV} V`,
			c.tailCRate === null ? null : `tail ${c.tailCRate} C`,
			c.restH === null ? null : `rest ${c.restH} h`,
			c.dischargeCRate === null ? null : `${c.dischargeCRate} C`,
			c.cutoffV === null ? null : `to ${c.cutoffV} V`,
			c.temperatureC === null ? null : inOwnStyle(`at ${c.temperatureC} °C`),
			c.source
		]
			.filter(Boolean)
			.join(', ') || 'conditions not copied: the usual ones hold';
</script>

<details class="sheet mt-4 p-4">
	<summary class="tap flex cursor-pointer flex-wrap items-center justify-between gap-2">
		<strong>What the maker promises of {cellType.name}</strong>
		<span class="muted"
			>{clauses.length
				? clauses.map((c) => `${c.kind} ${c.capacityAh} Ah`).join(', ')
				: `rated ${cellType.ratedAh} Ah, no clause copied`}</span
		>
	</summary>
	<ul class="my-3 grid gap-2">
		{#each clauses as c (c.id)}
			<li class="flex flex-wrap items-center justify-between gap-x-4">
				<span><strong>{c.kind} {c.capacityAh} Ah</strong> <span class="muted block">{words(c)}</span></span>
				<button class="btn btn-ghost tap" onclick={() => void takeOff(c)}>Take it off</button>
			</li>
		{/each}
	</ul>
	<form class="grid grid-cols-2 items-end gap-3 sm:grid-cols-4" onsubmit={add} novalidate>
		<label
			><span class="field-label">Promised as</span>
			<select class="select tap w-full" bind:value={draft.kind}>
				{#each CLAUSE_KINDS as kind (kind)}<option value={kind}>{kind}</option>{/each}
			</select></label
		>
		<Field label="Capacity" unit="Ah" type="number" bind:value={draft.capacityAh} error={fields.capacityAh} />
		<Field label="Charged to" unit="V" type="number" bind:value={draft.chargeV} error={fields.chargeV} />
		<Field label="Tail" unit="C" type="number" bind:value={draft.tailCRate} error={fields.tailCRate} />
		<Field label="Rest" unit="h" type="number" bind:value={draft.restH} error={fields.restH} />
		<Field
			label="Discharged at"
			unit="C"
			type="number"
			bind:value={draft.dischargeCRate}
			error={fields.dischargeCRate}
		/>
		<Field label="Down to" unit="V" type="number" bind:value={draft.cutoffV} error={fields.cutoffV} />
		<Field
			label="At"
			quantity="temperature"
			type="number"
			bind:value={draft.temperatureC}
			error={fields.temperatureC}
		/>
		<Field label="Said in" bind:value={draft.source} maxlength={200} class="col-span-2" />
		<button class="btn tap">Add it</button>
	</form>
</details>
