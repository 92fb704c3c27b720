import { tick } from 'svelte';

/** How long a cell is on its way, and how much later the next one sets out, ms. */
const WAY = { duration: 550, between: 18, most: 400 };

/**
 * Lets cells travel from where they were to where they are now, whenever their places change: from the crate to the battery, or from one group to
 * another. Who wants no motion sees none.
 * @param board the element they lie in; each is found by its `data-cell`
 */
export function travel(board: () => HTMLElement | undefined) {
	let before = new Map<string, DOMRect>();
	const places = () =>
		new Map(
			[...(board()?.querySelectorAll<HTMLElement>('[data-cell]') ?? [])].map((el) => [
				el.dataset.cell!,
				el.getBoundingClientRect()
			])
		);
	return {
		/** To be called before they move. */
		leave(): void {
			before = places();
		},
		/** To be called when they have moved. */
		async arrive(): Promise<void> {
			await tick();
			if (matchMedia('(prefers-reduced-motion: reduce)').matches) return;
			let late = 0;
			for (const [id, now] of places()) {
				const was = before.get(id);
				const [dx, dy] = was ? [was.x - now.x, was.y - now.y] : [0, 0];
				if (Math.hypot(dx, dy) < 2) continue;
				board()!
					.querySelector<HTMLElement>(`[data-cell="${id}"]`)!
					.animate(
						[
							{ transform: `translate(${dx}px, ${dy}px)`, zIndex: 5 },
							{ transform: 'none', zIndex: 5 }
						],
						{
							...{ duration: WAY.duration, easing: 'cubic-bezier(0.3, 0, 0.2, 1)', fill: 'backwards' },
							delay: Math.min(WAY.most, late++ * WAY.between)
						}
					);
			}
		}
	};
}
