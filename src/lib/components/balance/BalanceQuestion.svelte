<script lang="ts">
	import Field from '$lib/components/forms/Field.svelte';
	import VerdictList from '$lib/components/verdicts/VerdictList.svelte';
	import type { BalanceAnswer } from '$lib/core/balance';
	import { CoreError } from '$lib/core/shared';
	import { parseReading } from '$lib/core/reading';

	interface Props {
		groups: number;
		ask: (groupVoltagesV: number[], currentA: number) => Promise<BalanceAnswer | null>;
	}
	let { groups, ask }: Props = $props();
	let text = $state('');
	let currentA = $state<number | null>(0);
	let answer = $state<BalanceAnswer | null>(null);
	let error = $state<string | null>(null);

	function takeDifferences() {
		const { differencesV } = answer!.verdict.facts as { differencesV: readonly number[] };
		text = differencesV.map((v) => v.toFixed(3)).join(' ');
		answer = null;
	}
	async function submit(event: SubmitEvent) {
		event.preventDefault();
		try {
			const volts = text
				.trim()
				.split(/[\s;]+/)
				.filter(Boolean)
				.map((t) => parseReading(t, 'restVoltage').value);
			answer = null;
			error = volts.length < 2 ? 'Give at least two voltages, one a group, with spaces between.' : null;
			if (!error) answer = await ask(volts, Number(currentA ?? 0));
		} catch (cause) {
			error = cause instanceof CoreError ? cause.message : String(cause);
		}
	}
</script>

<section class="sheet grid gap-3 p-4" aria-label="Is it balanced?">
	<h2>Is it balanced?</h2>
	<form class="grid items-start gap-3 sm:grid-cols-[1fr_8rem_auto]" onsubmit={submit}>
		<Field
			label="Voltages of the {groups} groups"
			bind:value={text}
			{error}
			placeholder="3.451 3.449 3.452 …"
			hint="all read within a minute"
		/>
		<Field label="Current" unit="A" type="number" bind:value={currentA} />
		<button class="btn btn-primary tap sm:mt-6">Ask</button>
	</form>
	{#if answer}
		<VerdictList verdicts={[answer.verdict]} />
		{#if answer.verdict.code === 'read-cumulative'}
			<div><button type="button" class="btn tap" onclick={takeDifferences}>Take the differences</button></div>
		{/if}
	{/if}
</section>
