<script lang="ts">
	import { mayBeNegative, withOtherSign } from './sign-key';

	/** A keyboard takes more of a page than that; without one the rail of stages stands at its foot. */
	const KEYBOARD_PX = 80;
	const CLEAR_OF_RAIL_PX = 88;
	/** The field that is being typed in, where a pad of digits has no minus of its own. */
	let field = $state<HTMLInputElement | null>(null);
	/** How far above the lower edge of the page the keyboard ends, px. */
	let above = $state(0);

	function place() {
		const seen = window.visualViewport;
		above = seen ? Math.max(0, window.innerHeight - seen.height - seen.offsetTop) : 0;
	}
	function entered({ target }: FocusEvent) {
		const isTouched = window.matchMedia('(pointer: coarse)').matches;
		const isNumber = target instanceof HTMLInputElement && target.inputMode === 'decimal';
		field = isTouched && isNumber && mayBeNegative(target.min) ? target : null;
		place();
	}
	/** The field keeps its focus, and its page hears of the change as of any key. */
	function turn(event: PointerEvent) {
		event.preventDefault();
		if (!field) return;
		field.value = withOtherSign(field.value);
		field.dispatchEvent(new Event('input', { bubbles: true }));
	}
	$effect(() => {
		const seen = window.visualViewport;
		seen?.addEventListener('resize', place);
		seen?.addEventListener('scroll', place);
		return () => {
			seen?.removeEventListener('resize', place);
			seen?.removeEventListener('scroll', place);
		};
	});
</script>

<svelte:document onfocusin={entered} onfocusout={() => (field = null)} />
{#if field}<button
		type="button"
		tabindex="-1"
		class="key btn tap no-print"
		style:bottom="{above > KEYBOARD_PX ? above + 8 : CLEAR_OF_RAIL_PX}px"
		aria-label="Change the sign"
		onpointerdown={turn}>±</button
	>{/if}

<style>
	.key {
		position: fixed;
		left: 0.5rem;
		z-index: 50;
		min-width: 3.5rem;
		font-size: 1.5rem;
		box-shadow: 0 1px 6px rgb(0 0 0 / 0.35);
	}
</style>
