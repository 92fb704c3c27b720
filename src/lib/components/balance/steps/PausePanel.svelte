<script lang="ts">
	import type { AfterPause, PauseChange, PauseCheck } from '$lib/core/balance/charge';
	import { formatDateTime, type Settings } from '$lib/core/foundation/units';

	/** What somebody comes back to after weeks: what has changed, and what to check before it goes on. */
	let { pause, dateStyle }: { pause: AfterPause; dateStyle: Settings['dateStyle'] } = $props();
	const CHANGES: Record<PauseChange['kind'], string> = {
		stopped: 'Must not be used now',
		left: 'No longer in this bank',
		new: 'New in this bank',
		tested: 'Tested since, so their charge is another',
		read: 'Read since'
	};
	const CHECKS: Record<PauseCheck, string> = {
		links: 'Every series link: on or off, by the meter, never by memory.',
		empty:
			'Cells that were emptied: read each now; what has sunk below its limit is charged gently first, or taken out.',
		'leads-loose': 'Supply off, its leads loose, before anything is touched.',
		'set-voltage': 'The supply’s volts, by your meter with its leads loose: a knob turns in a bag.',
		polarity: 'Polarity of every new cell by the meter.',
		voltages: 'Every cell’s volts: one that fell further than the others self-discharges.',
		joints: 'Bars and nuts: hand-tight is loose by now; torque them again.'
	};
</script>

<section class="sheet mb-4 grid gap-2 p-4" aria-label="Since you were last here">
	<h2>{Math.round(pause.days)} days since the last step</h2>
	<p class="muted">It was {formatDateTime(pause.since, dateStyle)}. All that was written down is kept.</p>
	{#if pause.changed.length}
		<ul class="grid gap-1">
			{#each pause.changed as change (change.kind)}
				<li class:ember-text={change.kind === 'stopped'}>
					<strong>{CHANGES[change.kind]}:</strong>
					{change.cells.join(', ')}
				</li>
			{/each}
		</ul>
	{:else}<p>No cell has left, come, or been read or tested since.</p>{/if}
	<p class="font-semibold">Check before it goes on:</p>
	<ol class="list-decimal pl-6">
		{#each pause.checks as check (check)}<li>{CHECKS[check]}</li>{/each}
	</ol>
</section>
