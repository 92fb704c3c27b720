<script lang="ts">
	import type { PlanDesk } from '$lib/client/entry/plan-desk.svelte';
	import type { PlannedBox, PlanState } from '$lib/core/plan/bank-plan';
	import { inOwnStyle, measure } from '$lib/client/settings/own-style';
	import BoxDrawing from './BoxDrawing.svelte';
	import Fold from '$lib/components/frame/Fold.svelte';
	import PlanNumber from '../PlanNumber.svelte';

	interface Props {
		desk: PlanDesk;
		found: PlanState;
		/** The cell’s sizes are known. */
		known: boolean;
	}
	let { desk, found, known }: Props = $props();
	const box = $derived(desk.plan.box);
	const EMPTY: PlannedBox = {
		...{ lengthMm: 600, widthMm: 400, heightMm: 300 },
		...{ insulationMm: null, endPlateMm: null, lidMm: null, cableMm: null, bms: null }
	};
	const change = (changes: Partial<PlannedBox>) => desk.change({ box: { ...(box ?? EMPTY), ...changes } });
	const bms = (changes: object) =>
		change({ bms: { ...{ lengthMm: 40, widthMm: 180, heightMm: 120 }, ...box?.bms, ...changes } });
	const fuse = (changes: object) =>
		change({ fuse: { ...{ lengthMm: 120, widthMm: 60, heightMm: 60 }, ...box?.fuse, ...changes } });
	const best = $derived(found.arrangements?.[0] ?? null);
	const fitting = $derived(found.arrangements?.filter((a) => a.fits) ?? []);
	const refused = $derived(found.arrangements?.filter((a) => !a.fits).slice(0, 6) ?? []);
	const shortest = (left: { lengthMm: number; widthMm: number; heightMm: number }) =>
		[
			left.lengthMm < 0 ? `${measure(-left.lengthMm, 'length', 0)} in length` : null,
			left.widthMm < 0 ? `${measure(-left.widthMm, 'length', 0)} in width` : null,
			left.heightMm < 0 ? `${measure(-left.heightMm, 'length', 0)} in height` : null
		]
			.filter(Boolean)
			.join(', ');
	const answer = $derived(
		!box
			? null
			: !known || !best
				? 'the size of the cell is not known'
				: best.fits
					? `fits, ${fitting.length} ${fitting.length === 1 ? 'way' : 'ways'}`
					: `short by ${shortest(best.left)}`
	);
	/** Inside sizes boxes are often made in (default: ours). */
	const BOXES = [
		{ lengthMm: 400, widthMm: 200, heightMm: 250 },
		{ lengthMm: 500, widthMm: 250, heightMm: 270 },
		{ lengthMm: 560, widthMm: 360, heightMm: 280 },
		{ lengthMm: 640, widthMm: 200, heightMm: 260 },
		{ lengthMm: 760, widthMm: 400, heightMm: 300 }
	];
	const SIDES = [
		{ key: 'lengthMm', text: 'Length' },
		{ key: 'widthMm', text: 'Width' },
		{ key: 'heightMm', text: 'Height' }
	] as const;
</script>

<Fold title="Does it fit the box" {answer} warm={best !== null && !best.fits}>
	<label
		><span class="field-label">A usual box (inside)</span>
		<select
			class="select tap"
			value=""
			onchange={(e) => {
				const usual = BOXES[Number(e.currentTarget.value)];
				e.currentTarget.value = '';
				if (usual) change(usual);
			}}
		>
			<option value="">choose, or write your own below</option>
			{#each BOXES as { lengthMm, widthMm, heightMm }, i (i)}<option value={i}
					>{inOwnStyle(`${lengthMm} × ${widthMm} × ${heightMm} mm`)}</option
				>{/each}
		</select></label
	>
	<p class="muted">The inside, with the lid on.</p>
	<div class="grid grid-cols-3 gap-3">
		{#each SIDES as { key, text } (key)}
			<PlanNumber
				label={text}
				quantity="length"
				value={box?.[key] ?? null}
				onkeep={(mm) => mm && change({ [key]: mm })}
			/>
		{/each}
	</div>
	{#if box}
		<div class="grid grid-cols-2 gap-3 sm:grid-cols-4">
			<PlanNumber
				label="Between cells"
				quantity="length"
				value={box.insulationMm}
				usual={1}
				onkeep={(insulationMm) => change({ insulationMm })}
			/>
			<PlanNumber
				label="End plate"
				quantity="length"
				value={box.endPlateMm}
				usual={6}
				onkeep={(endPlateMm) => change({ endPlateMm })}
			/>
			<PlanNumber
				label="Over the terminals"
				quantity="length"
				value={box.lidMm}
				usual={35}
				onkeep={(lidMm) => change({ lidMm })}
			/>
			<PlanNumber
				label="Main cable"
				quantity="length"
				unit="thick"
				value={box.cableMm}
				usual={0}
				onkeep={(cableMm) => change({ cableMm })}
			/>
			{#each SIDES as { key, text } (key)}
				<PlanNumber
					label="BMS with its air, {text.toLowerCase()}"
					quantity="length"
					value={box.bms?.[key] ?? null}
					usual="elsewhere"
					onkeep={(mm) => (mm ? bms({ [key]: mm }) : change({ bms: null }))}
				/>
			{/each}
			{#each SIDES as { key, text } (key)}
				<PlanNumber
					label="Fuse and disconnect, {text.toLowerCase()}"
					quantity="length"
					value={box.fuse?.[key] ?? null}
					usual="elsewhere"
					onkeep={(mm) => (mm ? fuse({ [key]: mm }) : change({ fuse: null }))}
				/>
			{/each}
		</div>
	{/if}
	{#if box && best}
		<BoxDrawing {box} arrangement={best} />
		{#if best.fits}
			<p>
				<strong>{best.rows} {best.rows === 1 ? 'row' : 'rows'} of {best.columns}</strong>{best.bmsAt === 'elsewhere'
					? ''
					: `, the BMS ${best.bmsAt}`}{best.fuseAt === 'elsewhere' ? '' : `, the fuse ${best.fuseAt}`}: {inOwnStyle(
					`${best.left.lengthMm.toFixed(0)} × ${best.left.widthMm.toFixed(0)} × ${best.left.heightMm.toFixed(0)} mm`
				)} are left. {fitting.length > 1 ? `${fitting.length - 1} other ways fit too.` : ''}
			</p>
		{:else}
			<p class="ember-text font-semibold">No way fits. What lacks least is short by {shortest(best.left)}.</p>
		{/if}
		{#if refused.length}
			<p class="muted">Why others do not:</p>
			<ul class="list-disc pl-5">
				{#each refused as a, i (i)}
					<li>
						{a.rows} × {a.columns} along the {a.along}{a.bmsAt === 'elsewhere' ? '' : `, BMS ${a.bmsAt}`}{a.fuseAt ===
						'elsewhere'
							? ''
							: `, fuse ${a.fuseAt}`}: {shortest(a.left)}
					</li>
				{/each}
			</ul>
		{/if}
	{:else if box && !known}<p>Copy width, thickness, height of the cell from its sheet (Bank, its figures).</p>{/if}
</Fold>
