<script lang="ts">
	import { enhance } from '$app/forms';
	import { formKept } from '$lib/client/entry/form-kept';
	import Field from '$lib/components/forms/Field.svelte';
	import type { BatteryBuild } from '$lib/core/build/state';
	import { formatDate, type Settings } from '$lib/core/foundation/units';

	interface Props {
		build: BatteryBuild;
		dateStyle: Settings['dateStyle'];
		refused: Record<string, string>;
	}
	let { build, dateStyle, refused }: Props = $props();
	let name = $state('');
	let fields = $derived(refused);
	const parts = $derived(build.temporaryParts);
</script>

<section class="sheet grid gap-3 p-4" aria-label="Temporary parts">
	{#if parts.length}
		<ul class="grid gap-2">
			{#each parts as part (part.id)}
				<li class="flex flex-wrap items-center justify-between gap-3">
					<span
						><strong>{part.name}</strong>
						<span class="muted">in since {formatDate(part.putInAt, dateStyle)}</span></span
					>
					<form method="POST" action="?/partOut" use:enhance={formKept()}>
						<input type="hidden" name="id" value={part.id} />
						<input type="hidden" name="version" value={part.version} />
						<button class="btn tap">It is out</button>
					</form>
				</li>
			{/each}
		</ul>
	{:else}<p>
			Nothing temporary is in. A thin link, a jumper, a bypass, a charger’s clip: note it the moment it goes in.
		</p>{/if}
	<form
		method="POST"
		action="?/part"
		class="flex flex-wrap items-end gap-3"
		use:enhance={formKept({ onfields: (refusals) => (fields = refusals), onkept: () => (name = '') })}
	>
		<input type="hidden" name="batteryId" value={build.battery.id} />
		<Field
			label="What goes in for the while"
			name="name"
			bind:value={name}
			placeholder="thin link, group 2 to 3"
			error={fields.name}
			class="grow"
		/>
		<button class="btn btn-primary tap">Note it</button>
	</form>
</section>
