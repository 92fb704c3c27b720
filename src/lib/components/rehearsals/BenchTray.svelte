<script lang="ts">
	import Tray from '$lib/components/tray/Tray.svelte';
	import type { DrawnCell } from '$lib/components/tray/tray-cell';
	import { benchMark, type SeenCell, type Wiring } from './rehearsal-words';

	interface Props {
		cells: SeenCell[];
		/** Groups are named where they differ: in series. */
		wiring: Wiring;
		/** The cell the voltmeter's probes are to go on. */
		onprobe: (cellId: number) => void;
	}
	let { cells, wiring, onprobe }: Props = $props();
	const drawn = $derived(
		cells
			.toSorted((a, b) => (a.group ?? Infinity) - (b.group ?? Infinity) || 0)
			.map((cell): DrawnCell => ({
				id: cell.id,
				label: cell.group === null || wiring !== 'series' ? cell.label : `${cell.group} ${cell.label}`,
				figure: cell.restVoltageV?.toFixed(3) ?? null,
				minor: null,
				shade: null,
				warmth: (cell.restVoltageV ?? 0) < 0 ? 'look' : 'calm',
				mark: benchMark(cell)
			}))
	);
	const probed = $derived(cells.find((c) => c.tools.includes('voltmeter'))?.id ?? null);
</script>

<Tray cells={drawn} selectedId={probed} onpick={onprobe} label="Cells on the bench" />
