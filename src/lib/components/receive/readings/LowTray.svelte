<script lang="ts">
	import Tray from '$lib/components/tray/Tray.svelte';
	import { USUAL_FOOTPRINT, type DrawnCell } from '$lib/components/tray/tray-cell';
	import DeliveryChoice from '../DeliveryChoice.svelte';
	import type { ReceiveData } from '../receive-data';

	interface Props {
		trays: ReceiveData['trays'];
		/** Which of them. */
		index: number;
		cells: DrawnCell[];
		cellType: ReceiveData['overview']['cellType'];
		selectedId: number;
		onpick: (id: number) => void;
		/** What it shows, for those who hear it. */
		label: string;
	}
	let { trays, index = $bindable(), cells, cellType, selectedId, onpick, label }: Props = $props();
</script>

<DeliveryChoice {trays} bind:index />
<Tray
	{cells}
	low
	footprint={{
		widthMm: cellType?.widthMm ?? USUAL_FOOTPRINT.widthMm,
		thicknessMm: cellType?.thicknessMm ?? USUAL_FOOTPRINT.thicknessMm
	}}
	{selectedId}
	{onpick}
	{label}
/>
