<script lang="ts">
	let { bankId }: { bankId: number } = $props();
</script>

<section class="sheet grid gap-2 p-4" aria-label="After the charge">
	<h2>Full and balanced: what comes now</h2>
	<ol class="list-decimal pl-6">
		<li>Supply off at the wall, its leads off the row.</li>
		<li>Bars off, one at a time, insulated tools; cover the terminals.</li>
		<li>
			Read each, loose, after an hour, and again after a day, in <a class="underline" href="/banks/{bankId}/receive"
				>Receive</a
			>: it is told then whether each stands where a full cell does. It rings for both.
		</li>
		<li>Do not store them full for months; build, or draw them down to the middle.</li>
	</ol>
</section>
