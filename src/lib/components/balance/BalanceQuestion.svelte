<script lang="ts">
	import PhoneFold from '$lib/components/frame/PhoneFold.svelte';
	import FileLink from '$lib/components/forms/FileLink.svelte';
	import Field from '$lib/components/forms/Field.svelte';
	import VerdictList from '$lib/components/verdicts/VerdictList.svelte';
	import type { BalanceAnswer } from '$lib/core/balance/is-balanced';
	import { CoreError } from '$lib/core/foundation/errors';
	import { attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import type { PictureBank } from '$lib/core/picture';
	import { parseReading } from '$lib/core/foundation/reading';
	import { LOG_SD_V, groupPassings, parseGroupLog, type Passings } from '$lib/core/foundation/snapshot';

	interface Props {
		bank: Pick<PictureBank, 'id' | 'series' | 'parallel' | 'chemistry'>;
		/** Of one cell, Ah. */
		cellAh: number;
	}
	let { bank, cellAh }: Props = $props();
	async function ask(
		groupVoltagesV: number[],
		amperes: number,
		passings: Passings | null = null
	): Promise<BalanceAnswer | null> {
		let told: BalanceAnswer | null = null;
		const question = { bankId: bank.id, groupVoltagesV, currentA: amperes, passings };
		await attempt(async () => (told = await api.post('is-balanced', question)));
		return told;
	}
	let text = $state('');
	let currentA = $state<number | null>(0);
	let answer = $state<BalanceAnswer | null>(null);
	let error = $state<string | null>(null);

	let log = $state<{ name: string; groups: string[]; passings: Passings | null; lines: number } | null>(null);
	/** The log of a charge: when each group passed one voltage near full, and what the last line reads. */
	async function takeLog(file: File) {
		answer = null;
		try {
			const { samples, groups: names } = parseGroupLog(await file.text());
			const passings = groupPassings({
				chemistry: bank.chemistry,
				groupAh: cellAh * bank.parallel,
				samples,
				meterSdV: LOG_SD_V
			});
			const last = samples.findLast((s) => s.groupsV !== null)!;
			log = { name: file.name, groups: names, passings, lines: samples.length };
			text = last.groupsV!.map((v) => v.toFixed(3)).join(' ');
			currentA = last.currentA;
			error = null;
			answer = await ask([...last.groupsV!], last.currentA, passings);
		} catch (cause) {
			log = null;
			error = cause instanceof CoreError ? cause.message : String(cause);
		}
	}
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

<PhoneFold title="Is it balanced?" answer="from volts or a log">
	<form class="grid items-start gap-3 sm:grid-cols-[1fr_8rem_auto]" onsubmit={submit}>
		<Field
			label="Voltages of the {bank.series} groups"
			bind:value={text}
			{error}
			placeholder="3.451 3.449 3.452 …"
			hint="all read within a minute"
		/>
		<Field label="Current" unit="A" type="number" bind:value={currentA} />
		<button class="btn btn-primary tap sm:mt-6">Ask</button>
	</form>
	<FileLink label="Log of a charge" accept=".csv,.txt,text/csv" onfile={(file) => void takeLog(file)}>
		or the log of a charge near full: time, amperes, volts of each group
	</FileLink>
	{#if log}
		<div>
			<p><strong>{log.name}</strong>, {log.lines} lines.</p>
			{#if log.passings}
				{@const first = Math.min(...log.passings.groups.flatMap((g) => (g ? [g.ah] : [])))}
				<p>Each passed {log.passings.voltageV.toFixed(2)} V after the first by:</p>
				<ol class="flex flex-wrap gap-x-4">
					{#each log.passings.groups as g, i (i)}<li>
							{log.groups[i]} <span class="figure">{g ? `${(g.ah - first).toFixed(2)} Ah` : 'never'}</span>
						</li>{/each}
				</ol>
			{:else}<p class="muted">
					No stretch in it has groups passing the knee at one steady current: only its last line is judged.
				</p>{/if}
		</div>
	{/if}
	{#if answer}
		<VerdictList verdicts={[answer.verdict]} />
		{#if answer.verdict.code === 'read-cumulative'}
			<div><button type="button" class="btn tap" onclick={takeDifferences}>Take the differences</button></div>
		{/if}
	{/if}
</PhoneFold>
