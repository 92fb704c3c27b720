<script lang="ts">
	import { untrack, type Snippet } from 'svelte';
	import { lookAgain } from '$lib/client/tabs/look-again';
	import { page } from '$app/state';
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { bankClock } from '$lib/client/live/bank-clock';
	import { sendBeside } from '$lib/client/entry/send-beside';
	import StagePage from '$lib/components/frame/StagePage.svelte';
	import MethodSetupForm from '$lib/components/balance/steps/MethodSetup.svelte';
	import PausePanel from '$lib/components/balance/steps/PausePanel.svelte';
	import StepForm from '$lib/components/balance/steps/StepForm.svelte';
	import Photos from '$lib/components/photos/Photos.svelte';
	import StepLog from '$lib/components/balance/steps/StepLog.svelte';
	import { STEP_NAMES, type WrittenEntry } from '$lib/components/balance/steps/step-words';
	import { settingApart } from '$lib/client/entry/set-apart';
	import { METHOD_KINDS, METHOD_NAMES, type MethodKind, type MethodSetup } from '$lib/core/picture';
	import type { NextStep } from '$lib/core/balance/steps';
	import { formatDateTime } from '$lib/core/foundation/units';
	import type { BalanceData } from '../balance-data';

	let { data, views }: { data: BalanceData; views: Snippet } = $props();
	const bank = $derived(data.overview.bank);
	const style = $derived(data.settings.dateStyle);
	const steps = $derived(data.steps);
	const going = $derived(steps !== null && steps.run.endedAt === null);
	const wanted = $derived(page.url.searchParams.get('method') as MethodKind | null);
	const method = $derived(wanted && METHOD_KINDS.includes(wanted) ? wanted : 'fast');
	const clock = $derived(bankClock(data.clock));
	let nowMs = $state(untrack(() => clock()));
	$effect(() => {
		nowMs = clock();
		const timer = setInterval(() => (nowMs = clock()), 30_000 / (data.clock?.factor ?? 1) + 500);
		return () => clearInterval(timer);
	});
	const at = $derived({
		...{ bank, clock, instruments: data.instruments, byGroup: steps?.run.method !== 'ready-made' },
		ontyped: () => void (typing = true),
		groupAh: steps?.groupAh ?? 0
	});
	/** What can be done now first, then what rests. */
	const next = $derived.by(() => {
		const place = (n: NextStep) => (kept.includes(keyOf(n)) ? kept.indexOf(keyOf(n)) : kept.length);
		const rank = typing ? place : (n: NextStep) => (n.besides ? 2 : Number(waits(n.from)));
		const ordered = [...(steps?.state.next ?? [])].sort((a, b) => rank(a) - rank(b));
		kept = ordered.map(keyOf);
		return ordered;
	});
	/** While somebody types, no rest that is over changes what stands where. */
	let typing = $state(false);
	let kept: string[] = [];
	const waits = (from: string | null) => from !== null && Date.parse(from) > nowMs;
	let refused = $state<{ step: string; fields: Record<string, string> }>({ step: '', fields: {} });
	const keyOf = (n: NextStep) => `${n.step}/${n.cell?.id ?? ''}/${n.unit ?? ''}`;
	let sure = $state(false);

	/** Sends it; what was refused stands beside its fields. */
	async function send(key: string, work: () => Promise<unknown>): Promise<boolean> {
		const fields = await sendBeside(work);
		refused = { step: key, fields: fields ?? {} };
		if (fields === null) {
			typing = false;
			await lookAgain();
		}
		return fields === null;
	}
	const begin = async (kind: MethodKind, cellIds: number[], setup: MethodSetup) =>
		void (await send('setup', () =>
			api.post('method-runs', {
				...{ bankId: bank.id, method: kind, setup: JSON.parse(JSON.stringify(setup)) as MethodSetup },
				...(cellIds.length ? { cellIds } : {}),
				clientKey: crypto.randomUUID()
			})
		));
	const write = (key: string, entry: WrittenEntry) =>
		send(key, () =>
			api.post('method-entries', { ...entry, methodRunId: steps!.run.id, clientKey: crypto.randomUUID() })
		);
	async function takeOut({ id, version }: { id: number; version: number }) {
		if (!(await attempt(() => api.remove(`method-entries/${id}`, version)))) return;
		typing = false;
		announce('The step is taken out.', () => void attempt(() => api.restore(`method-entries/${id}`).then(lookAgain)));
		await lookAgain();
	}
	async function end(endedAt: string | null) {
		sure = false;
		const { id, version } = steps!.run;
		if (await attempt(() => api.patch(`method-runs/${id}`, { endedAt, version }))) await lookAgain();
	}
</script>

<StagePage
	title="Step by step"
	subtitle={steps && going
		? METHOD_NAMES[steps.run.method].toLowerCase()
		: 'fast, at the bottom, by a balancer, ready-made batteries'}
	verdicts={data.verdicts}
	onsetapart={settingApart(bank.id, 'balance')}
>
	{@render views()}
	{#if data.pause && going}<PausePanel pause={data.pause} dateStyle={style} />{/if}
	{#if steps && going}
		<div class="grid grid-cols-[minmax(0,1fr)] gap-4">
			{#each next.slice(0, 1) as n (keyOf(n))}
				<section class="sheet p-4" aria-label="Next step">
					<StepForm
						step={n}
						{...at}
						{nowMs}
						dateStyle={style}
						refused={refused.step === keyOf(n) ? refused.fields : {}}
						onwrite={(entry) => write(keyOf(n), entry)}
					/>
					{#if n.step === 'finished'}<p class="mt-2">
							<a class="link" href="/banks/{bank.id}/balance/charge">The charge side by side</a>
						</p>{/if}
				</section>
			{/each}
			{#if next.length > 1}
				<section class="sheet grid gap-1 p-4" aria-label="Other steps">
					<h2>Besides</h2>
					{#each next.slice(1) as n (keyOf(n))}
						<details open={refused.step === keyOf(n) && Object.keys(refused.fields).length > 0}>
							<summary class="tap flex cursor-pointer flex-wrap items-center gap-x-3"
								><span aria-hidden="true">›</span><strong>{n.cell?.label ?? n.unit ?? ''}</strong>
								{STEP_NAMES[n.step] ?? n.step}
								{#if waits(n.from)}<span class="muted">rests until {formatDateTime(n.from!, style)}</span>{/if}</summary
							>
							<div class="py-2">
								<StepForm
									step={n}
									{...at}
									{nowMs}
									dateStyle={style}
									refused={refused.step === keyOf(n) ? refused.fields : {}}
									onwrite={(entry) => write(keyOf(n), entry)}
								/>
							</div>
						</details>
					{/each}
				</section>
			{/if}
			<section class="sheet p-4" aria-label="What was done">
				<h2>What was done</h2>
				<Photos subjectKind="method" subjectId={steps.run.id} label="the bench" />
				<StepLog run={steps.run} dateStyle={style} ontakeout={(e) => void takeOut(e)} />
				{#if sure && !steps.state.done}
					<div class="grid gap-2" role="alert">
						<p class="font-semibold ember-text">
							It is not done. Ended now, nothing is proved; it can be taken up again.
						</p>
						<div class="flex flex-wrap gap-2">
							<button class="btn tap" onclick={() => void end(new Date(clock()).toISOString())}
								>End it, not proved</button
							>
							<button class="btn btn-primary tap" onclick={() => (sure = false)}>Let it go on</button>
						</div>
					</div>
				{:else}<button
						class="btn tap {steps.state.done ? 'btn-primary' : ''}"
						onclick={() => (steps.state.done ? void end(new Date(clock()).toISOString()) : (sure = true))}
						>End it</button
					>{/if}
			</section>
		</div>
	{:else}
		{#if data.endedSteps.length}<section class="sheet mb-4 grid gap-2 p-4" aria-label="Done before">
				{#each data.endedSteps as { run }, i (run.id)}
					<details>
						<summary class="tap flex cursor-pointer flex-wrap items-center gap-x-3"
							><span aria-hidden="true">›</span><strong>{METHOD_NAMES[run.method]}</strong>
							<span class="muted">{run.entries.length} steps, ended {formatDateTime(run.endedAt!, style)}</span
							></summary
						>
						<StepLog {run} dateStyle={style} />
						{#if i === 0}<button class="btn tap" onclick={() => void end(null)}>Go on with it</button>{/if}
					</details>
				{/each}
			</section>{/if}
		{#key method}<MethodSetupForm
				{method}
				cells={data.mayStand}
				refused={refused.step === 'setup' ? refused.fields : {}}
				onbegin={begin}
			/>{/key}
	{/if}
</StagePage>
