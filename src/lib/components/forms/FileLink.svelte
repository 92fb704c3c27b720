<script lang="ts">
	import type { Snippet } from 'svelte';

	interface Props {
		/** What the file is, for those who hear it. */
		label: string;
		/** As of an input of files. */
		accept: string;
		onfile: (file: File) => void;
		/** What is to be pressed. */
		children: Snippet;
	}
	let { label, accept, onfile, children }: Props = $props();
</script>

<label
	class="tap inline-flex w-fit cursor-pointer items-center gap-3 underline underline-offset-4 focus-within:outline-2 focus-within:outline-offset-2"
>
	{@render children()}
	<input
		type="file"
		{accept}
		class="sr-only"
		aria-label={label}
		onchange={(e) => {
			const file = e.currentTarget.files?.[0];
			if (file) onfile(file);
			e.currentTarget.value = '';
		}}
	/>
</label>
