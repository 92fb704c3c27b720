import { tick, untrack } from 'svelte';

/** How long a cell is on its way, and how much later the next one sets out, ms. */
const WAY = { duration: 550, between: 18, most: 400 };

/**
 * Lets cells travel from where they were to where they are now, whenever their places change: from the crate to the battery, or from one group to
 * another. Who wants no motion sees none. To be called by a component above all that moves with them.
 * @param board the element they lie in; each is found by its `data-cell`
 * @param places what decides where they lie
 */
export function travel(board: () => HTMLElement | undefined, places: () => unknown): void {
	const found = () =>
		new Map([...(board()?.querySelectorAll<HTMLElement>('[data-cell]') ?? [])].map((el) => [el.dataset.cell!, el]));
	let before = new Map<string, DOMRect>();
	$effect.pre(() => {
		places();
		before = new Map([...untrack(found)].map(([id, el]) => [id, el.getBoundingClientRect()]));
	});
	$effect(() => {
		places();
		void tick().then(() => {
			if (matchMedia('(prefers-reduced-motion: reduce)').matches) return;
			let late = 0;
			for (const [id, el] of untrack(found)) {
				const [was, now] = [before.get(id), el.getBoundingClientRect()];
				const [dx, dy] = was ? [was.x - now.x, was.y - now.y] : [0, 0];
				if (Math.hypot(dx, dy) < 2) continue;
				el.animate(
					[
						{ transform: `translate(${dx}px, ${dy}px)`, zIndex: 5 },
						{ transform: 'none', zIndex: 5 }
					],
					{
						duration: WAY.duration,
						easing: 'cubic-bezier(0.3, 0, 0.2, 1)',
						fill: 'backwards',
						delay: Math.min(WAY.most, late++ * WAY.between)
					}
				);
			}
		});
	});
}
