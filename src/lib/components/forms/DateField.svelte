<script lang="ts">
	import { onMount } from 'svelte';
	import type { HTMLInputAttributes } from 'svelte/elements';
	import { page } from '$app/state';
	import { formatTyped, parseDate, parseRoughDate } from '$lib/core/foundation/units';

	interface Props extends Omit<HTMLInputAttributes, 'value'> {
		/** `yyyy-MM-dd`, with a time `yyyy-MM-ddTHH:mm`, of whoever types; null or '' when blank. */
		value: string | number | null | undefined;
		/** What is typed is no date. */
		bad?: boolean;
		error?: boolean;
		withTime?: boolean;
		/** A month, a year or `about` is taken, too: how far off the middle of it may be, s; null where it is exact. */
		roughS?: number | null;
		rough?: boolean;
	}
	let {
		value = $bindable(),
		bad = $bindable(false),
		error = false,
		withTime = false,
		rough = false,
		roughS = $bindable(null),
		name,
		...rest
	}: Props = $props();

	/** Before the page listens the browser's own field stands there, which is sent as it is. */
	let awake = $state(false);
	onMount(() => (awake = true));
	const style = $derived(page.data.settings.dateStyle);
	const shown = (v: Props['value']) => (v ? formatTyped(String(v), style) : '');
	let typing = $state<string | null>(null);
	let picker = $state<HTMLInputElement>();
	const native = $derived(withTime ? ('datetime-local' as const) : ('date' as const));

	function take(event: Event & { currentTarget: HTMLInputElement }) {
		typing = event.currentTarget.value;
		const read = rough ? parseRoughDate(typing, style) : parseDate(typing, style);
		const parsed = typeof read === 'object' && read !== null ? read.local : read;
		roughS = typeof read === 'object' && read !== null ? read.doubtS : null;
		bad = parsed === undefined;
		// What is no date goes on as it was typed: whoever stores it refuses it, and nothing becomes today.
		if (parsed === undefined) value = typing;
		else value = parsed && withTime && !parsed.includes('T') ? `${parsed}T12:00` : (parsed ?? '');
	}
	function settle() {
		// A rough date stays as it was written.
		if (!bad && roughS === null) typing = null;
	}
	function pick(event: Event & { currentTarget: HTMLInputElement }) {
		value = event.currentTarget.value;
		bad = false;
		roughS = null;
		typing = null;
	}
</script>

{#if awake}
	<span class="date">
		<input
			class="input tap figure w-full"
			class:input-error={error || bad}
			value={typing ?? shown(value)}
			placeholder={formatTyped(withTime ? '2026-03-21T09:30' : '2026-03-21', style)}
			autocomplete="off"
			oninput={take}
			onblur={settle}
			{...rest}
		/>
		<input
			bind:this={picker}
			type={native}
			class="picker"
			tabindex="-1"
			aria-hidden="true"
			value={bad ? '' : (value ?? '')}
			oninput={pick}
		/>
		<button type="button" class="btn tap" aria-label="Calendar" onclick={() => picker?.showPicker()}>…</button>
		{#if name}<input type="hidden" {name} value={bad ? (typing ?? '') : (value ?? '')} />{/if}
	</span>
{:else}
	<input type={native} class="input tap w-full" {name} {value} {...rest} />
{/if}

<style>
	.date {
		position: relative;
		display: flex;
		gap: 0.3rem;
	}
	/* The browser's calendar opens from here; what is read and typed is the other. */
	.picker {
		position: absolute;
		inset: auto 0 0 auto;
		width: 1px;
		height: 1px;
		opacity: 0;
		pointer-events: none;
	}
</style>
