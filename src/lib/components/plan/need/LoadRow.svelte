<script lang="ts">
	import Choice from '$lib/components/forms/Choice.svelte';
	import { shareOfDays, type PlannedLoad } from '$lib/core/plan/loads';
	import { hoursText, parseHours } from '$lib/core/foundation/time';
	import PlanNumber from '../PlanNumber.svelte';

	interface Props {
		load: PlannedLoad;
		onkeep: (load: PlannedLoad) => void;
		onremove: () => void;
	}
	let { load, onkeep, onremove }: Props = $props();
	const id = $props.id();
	let open = $state(false);
	/** What is being typed: it stays whatever else comes in meanwhile. */
	let typedName = $state<string | null>(null);
	let typedHours = $state<string | null>(null);
	const hours = $derived(typedHours ?? hoursText(load.hours));
	let badHours = $state(false);
	const SEASONS = {
		all: { text: 'all year', months: null },
		dark: { text: 'October to March', months: [1, 2, 3, 10, 11, 12] },
		bright: { text: 'April to September', months: [4, 5, 6, 7, 8, 9] }
	} as const;
	const season = $derived(
		!load.months?.length
			? 'all'
			: ((Object.keys(SEASONS) as (keyof typeof SEASONS)[]).find(
					(key) => String(SEASONS[key].months) === String([...load.months!].sort((a, b) => a - b))
				) ?? 'own')
	);
	const DAYS = {
		all: { text: 'every day', days: null },
		work: { text: 'Monday to Friday', days: [1, 2, 3, 4, 5] },
		weekend: { text: 'Saturday and Sunday', days: [6, 7] }
	} as const;
	const WEEKDAYS = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'];
	const days = $derived([...(load.days ?? [])].sort((a, b) => a - b));
	const onDays = $derived(
		!days.length
			? 'all'
			: ((Object.keys(DAYS) as (keyof typeof DAYS)[]).find((key) => String(DAYS[key].days) === String(days)) ?? 'own')
	);
	const daysText = $derived(onDays === 'own' ? days.map((d) => WEEKDAYS[d - 1]).join(' ') : DAYS[onDays].text);
	const whADay = $derived(load.w * load.count * load.share * load.hours.length * shareOfDays(load));
	function toggleDay(day: number) {
		const now = days.length ? days : [1, 2, 3, 4, 5, 6, 7];
		const next = now.includes(day) ? now.filter((d) => d !== day) : [...now, day].sort((a, b) => a - b);
		if (next.length) onkeep({ ...load, days: next.length === 7 ? null : next });
	}

	function keepHours() {
		if (typedHours === null) return;
		const parsed = parseHours(typedHours);
		badHours = parsed === null;
		if (!parsed) return;
		typedHours = null;
		if (String(parsed) !== String(load.hours)) onkeep({ ...load, hours: parsed });
	}
	function keepName() {
		const name = typedName?.trim();
		typedName = null;
		if (name && name !== load.name) onkeep({ ...load, name });
	}
</script>

<li class="sheet">
	<button class="row tap" aria-expanded={open} onclick={() => (open = !open)}>
		<span class="min-w-0"
			><strong class="block break-words">{load.count > 1 ? `${load.count} × ` : ''}{load.name}</strong><span
				class="muted"
				>{load.w} W, {hoursText(load.hours) || 'never'}{load.share < 1
					? `, ${Math.round(load.share * 100)} % of it`
					: ''}{season === 'all' ? '' : `, ${season === 'own' ? 'some months' : SEASONS[season].text}`}{onDays === 'all'
					? ''
					: `, ${daysText}`}{load.dc ? ', DC' : ''}</span
			></span
		>
		<span class="day" aria-hidden="true"
			>{#each { length: 24 } as _, h (h)}<i class:on={load.hours.includes(h)}></i>{/each}</span
		>
		<span class="figure text-lg font-semibold whitespace-nowrap">{whADay.toFixed(0)} Wh</span>
	</button>
	{#if open}
		<div class="grid grid-cols-2 items-end gap-3 p-3 sm:grid-cols-4">
			<div class="col-span-2">
				<label class="field-label" for="{id}-name">Name</label>
				<input
					id="{id}-name"
					class="input tap w-full"
					maxlength="80"
					bind:value={() => typedName ?? load.name, (v) => (typedName = v)}
					onfocusout={keepName}
					onkeydown={(e) => e.key === 'Enter' && keepName()}
				/>
			</div>
			<PlanNumber label="While it runs" unit="W" value={load.w} onkeep={(w) => onkeep({ ...load, w: w ?? 0 })} />
			<PlanNumber label="How many" value={load.count} onkeep={(n) => onkeep({ ...load, count: Math.round(n ?? 1) })} />
			<div class="col-span-2">
				<label class="field-label" for="{id}-hours">Hours of the day</label>
				<input
					id="{id}-hours"
					class="input tap w-full"
					class:input-error={badHours}
					bind:value={() => hours, (v) => (typedHours = v)}
					placeholder="7–9, 18–23 or all day"
					onfocusout={keepHours}
					onkeydown={(e) => e.key === 'Enter' && keepHours()}
				/>
				{#if badHours}<p class="ember-text text-sm">Write hours like 7–9, 18–23, or all day.</p>{/if}
			</div>
			<PlanNumber
				label="Of these it runs"
				unit="%"
				value={load.share}
				times={100}
				onkeep={(share) => onkeep({ ...load, share: Math.min(1, share ?? 1) })}
			/>
			<PlanNumber
				label="When it starts"
				unit="W"
				value={load.surgeW}
				usual="as it runs"
				onkeep={(surgeW) => onkeep({ ...load, surgeW })}
			/>
			<div class="col-span-2">
				<label class="field-label" for="{id}-season">In the year</label>
				<select
					id="{id}-season"
					class="select tap w-full"
					value={season}
					onchange={(e) => {
						const months = SEASONS[e.currentTarget.value as keyof typeof SEASONS]?.months ?? null;
						onkeep({ ...load, months });
					}}
				>
					{#each Object.entries(SEASONS) as [key, { text }] (key)}<option value={key}>{text}</option>{/each}
					{#if season === 'own'}<option value="own">some months</option>{/if}
				</select>
			</div>
			<fieldset class="col-span-2">
				<legend class="field-label">Days of the week: {daysText}</legend>
				<div class="flex flex-wrap gap-1">
					{#each WEEKDAYS as text, i (i)}
						<button
							class="btn tap min-w-11 px-2"
							aria-pressed={!days.length || days.includes(i + 1)}
							onclick={() => toggleDay(i + 1)}>{text}</button
						>
					{/each}
				</div>
			</fieldset>
			<Choice
				label="Runs on"
				value={load.dc ? 'dc' : 'ac'}
				options={[
					{ value: 'ac', text: 'mains' },
					{ value: 'dc', text: 'DC' }
				]}
				onchange={(v) => onkeep({ ...load, dc: v === 'dc' })}
			/>
			<button class="btn btn-ghost tap" onclick={onremove}>Take it off</button>
		</div>
	{/if}
</li>

<style>
	.row {
		display: grid;
		grid-template-columns: minmax(0, 1fr) 12rem 5.5rem;
		align-items: center;
		gap: 1rem;
		width: 100%;
		padding: 0.4rem 1rem;
		text-align: left;
		cursor: pointer;
	}
	.row .figure {
		text-align: right;
	}
	.day {
		display: grid;
		grid-template-columns: repeat(24, 1fr);
		gap: 1px;
		height: 1.1rem;
	}
	.day i {
		background: var(--color-base-300);
		border-radius: 1px;
	}
	.day i.on {
		background: var(--measure-4);
	}
	@media (max-width: 640px) {
		.row {
			grid-template-columns: minmax(0, 1fr) auto;
		}
		.day {
			grid-column: 1 / -1;
			grid-row: 2;
		}
	}
</style>
