<script lang="ts">
	import { formatDateTime, type Settings } from '$lib/core/foundation/units';
	import type { ShownEvent } from './live-words';

	interface Props {
		events: ShownEvent[];
		dateStyle: Settings['dateStyle'];
		onseen: (id: number) => void;
	}
	let { events, dateStyle, onseen }: Props = $props();
</script>

{#if events.length}
	<section class="sheet p-4" aria-label="What happened">
		<h2>What happened</h2>
		<ol class="mt-2 grid gap-1">
			{#each events as event (event.id)}
				<li class="flex flex-wrap items-center gap-x-4">
					<span class="figure muted">{formatDateTime(event.happenedAt, dateStyle)}</span>
					<span class:font-semibold={event.needsPerson && !event.seenAt}>{event.message}</span>
					{#if event.needsPerson && !event.seenAt}<button class="btn btn-sm tap" onclick={() => onseen(event.id)}
							>Seen</button
						>{/if}
				</li>
			{/each}
		</ol>
	</section>
{/if}
