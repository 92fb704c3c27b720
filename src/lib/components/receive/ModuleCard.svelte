<script lang="ts">
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import Photos from '$lib/components/photos/Photos.svelte';
	import PlanNumber from '$lib/components/plan/PlanNumber.svelte';
	import type { StopReason } from '$lib/core/picture';
	import type { ModuleMake } from '$lib/core/picture';
	import { formatDate, type Settings } from '$lib/core/foundation/units';
	import type { ShownModule } from './receive-data';

	/** One module that came in one piece: its volts, its taps, what is seen from outside, and that it is apart. */
	interface Props {
		module: ShownModule;
		deliveryId: number;
		make: ModuleMake;
		dateStyle: Settings['dateStyle'];
	}
	let { module, deliveryId, make, dateStyle }: Props = $props();
	const record = $derived(module.record);
	const groups = $derived(record?.groupsV ?? Array.from({ length: make.series }, () => null));
	const SEEN: Record<StopReason, string> = {
		leak: 'wet or crusted',
		smell: 'smells',
		swelling: 'bulged',
		vent: 'a vent open',
		heat: 'warm by itself'
	};
	/** One change after the other: each is made of what the one before it left. */
	let last: Promise<unknown> = Promise.resolve();
	function keep(fields: object): Promise<boolean> {
		const done = last.then(() =>
			attempt(async () => {
				const now = module.record;
				if (now) await api.patch(`modules/${now.id}`, { ...fields, version: now.version });
				else
					await api.post('modules', {
						...{ deliveryId, number: module.number, clientKey: crypto.randomUUID() },
						...fields
					});
				await lookAgain();
			})
		);
		last = done;
		return done;
	}
	const readNow = () => ({ readAt: new Date().toISOString() });
	function keepGroup(index: number, volts: number | null) {
		void keep({ groupsV: groups.map((v, i) => (i === index ? volts : v)), ...readNow() });
	}
	function toggle(reason: StopReason) {
		const seen = record?.seen ?? [];
		void keep({ seen: seen.includes(reason) ? seen.filter((r) => r !== reason) : [...seen, reason] });
	}
	async function open(isOpen: boolean) {
		if (!(await keep({ openedOn: isOpen ? new Date().toISOString() : null }))) return;
		if (isOpen)
			announce(`${module.label} is apart: its ${module.cells} cells are read one by one.`, () => void open(false));
	}
</script>

<section class="sheet grid gap-3 p-4" aria-label="Module {module.label}">
	<div class="flex flex-wrap items-center justify-between gap-2">
		<h2>
			{module.label}
			<span class="muted font-normal"
				>{make.series} in series{make.parallel > 1 ? ` × ${make.parallel} side by side` : ''}</span
			>
		</h2>
		{#if record?.openedOn}
			<p>
				apart since {formatDate(record.openedOn, dateStyle)}
				<button class="tap underline underline-offset-4" onclick={() => void open(false)}>it is in one piece</button>
			</p>
		{:else}<button class="btn tap" onclick={() => void open(true)}>It is taken apart</button>{/if}
	</div>
	{#if !record?.openedOn}
		<div class="flex flex-wrap items-end gap-3">
			<div class="w-44">
				<PlanNumber
					label="Over its terminals"
					unit="V"
					value={record?.voltageV ?? null}
					onkeep={(v) => void keep({ voltageV: v, ...readNow() })}
				/>
			</div>
			<div role="group" aria-label="Seen on {module.label}">
				<span class="field-label" aria-hidden="true">Seen from outside</span>
				<div class="flex flex-wrap gap-2">
					{#each Object.entries(SEEN) as [reason, text] (reason)}
						<button
							class="btn tap"
							class:btn-active={record?.seen?.includes(reason as StopReason)}
							aria-pressed={record?.seen?.includes(reason as StopReason) ?? false}
							onclick={() => toggle(reason as StopReason)}>{text}</button
						>
					{/each}
				</div>
			</div>
		</div>
		<details open={groups.some((v) => v !== null)}>
			<summary class="tap flex cursor-pointer items-center muted"
				><span class="pr-2" aria-hidden="true">›</span>Over its taps, group by group, from its minus
				{groups.some((v) => v !== null)
					? `(${groups.filter((v) => v !== null).length} of ${make.series})`
					: ''}</summary
			>
			<div class="grid grid-cols-3 gap-3 pt-2 sm:grid-cols-6">
				{#each groups as volts, i (i)}
					<PlanNumber label="Group {i + 1}" unit="V" value={volts} onkeep={(v) => keepGroup(i, v)} />
				{/each}
			</div>
		</details>
		{#if record}<Photos subjectKind="module" subjectId={record.id} label={module.label} />{/if}
	{/if}
</section>
