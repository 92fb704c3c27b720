<script lang="ts">
	import { misread } from '$lib/core/foundation/snapshot';
	import type { Read } from '$lib/core/foundation/snapshot';
	import { WHOLE_BANK } from '$lib/core/foundation/verdicts';
	import VerdictList from './VerdictList.svelte';

	interface Props {
		/** What the voltages were seen to be: anything but groups. */
		read: Exclude<Read, { kind: 'groups' }>;
		/** Takes the differences of cumulative readings in their place; missing where that cannot be. */
		ondifferences?: (volts: number[]) => void;
	}
	let { read, ondifferences }: Props = $props();
</script>

<div class="grid gap-2" role="alert">
	<VerdictList verdicts={[misread(read, WHOLE_BANK)]} />
	{#if read.kind === 'cumulative' && ondifferences}
		<div>
			<button type="button" class="btn tap" onclick={() => ondifferences(read.differencesV)}
				>Take the differences</button
			>
		</div>
	{/if}
</div>
