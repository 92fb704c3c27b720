<script lang="ts">
	import type { Snippet } from 'svelte';
	import { settingApart } from '$lib/client/entry/set-apart';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import { CHEMISTRY_FIGURES } from '$lib/core/foundation/chemistry';
	import { makeOf } from '$lib/core/picture';
	import DeliveryChoice from './DeliveryChoice.svelte';
	import ModuleCard from './ModuleCard.svelte';
	import type { ReceiveData } from './receive-data';

	/** Cells that came as modules, before they are taken apart. */
	let { data, views }: { data: ReceiveData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const trays = $derived(data.trays.filter((t) => t.modules.length));
	let index = $state(0);
	const tray = $derived(trays[Math.min(index, trays.length - 1)] ?? null);
	const make = $derived(tray && makeOf(tray.delivery));
	const apart = $derived(tray?.modules.filter((m) => m.record?.openedOn).length ?? 0);
	/** Direct current above this can hold on to a hand, V (default; local rules first). */
	const TOUCH_V = 60;
	const mostV = $derived(make ? make.series * CHEMISTRY_FIGURES[bank.chemistry].chargeLimitV : 0);
</script>

<StagePage
	title="Modules"
	subtitle={tray ? `${tray.delivery.name}: ${apart} of ${tray.modules.length} are apart` : 'None came'}
	verdicts={data.verdicts}
	onpick={() => {}}
	onsetapart={settingApart(bank.id, 'receive')}
>
	{@render views()}
	{#if tray && make}
		<DeliveryChoice {trays} bind:index />
		<p class="sheet mb-3 p-4">
			A module is live from end to end and cannot be switched off. Glasses, insulated tools, no rings; cover every link
			but the one you work on. {#if mostV > TOUCH_V}<strong
					>Charged, it has {mostV.toFixed(0)} V: touching both ends can kill. Leave it to somebody licensed for it.</strong
				>{/if}
			Cells that were clamped swell when the clamp comes off: keep them pressed until they are built in.
		</p>
		<div class="grid gap-3">
			{#each tray.modules as module (module.number)}
				<ModuleCard {module} deliveryId={tray.delivery.id} {make} dateStyle={data.settings.dateStyle} />
			{/each}
		</div>
	{:else}<p class="sheet p-6">No delivery came as modules. Say so when one is unpacked (Readings).</p>{/if}
</StagePage>
