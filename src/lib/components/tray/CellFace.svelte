<script lang="ts">
	interface Props {
		label: string;
		/** Null: not read. */
		figure: string | null;
		minor?: string | null;
		/** Its plus is on the other side than printed. */
		turned?: boolean;
		/** `low`: name and figure only, under one terminal; `few`: larger, where so few cells are drawn that they have the room. */
		size?: 'usual' | 'low' | 'few';
	}
	let { label, figure, minor = null, turned = false, size = 'usual' }: Props = $props();
</script>

<span class="face {size}">
	<span class="terminal {turned ? 'minus' : 'plus'}" aria-hidden="true">{turned ? '−' : '+'}</span>
	<span class="name">{label}</span>
	<span class="figure main">{figure ?? '·'}</span>
	{#if size !== 'low'}
		<span class="figure minor">{minor ?? ''}</span>
		<span class="terminal bottom {turned ? 'plus' : 'minus'}" aria-hidden="true">{turned ? '+' : '−'}</span>
	{/if}
</span>

<style>
	.face {
		flex: 1;
		width: 100%;
		display: flex;
		flex-direction: column;
		align-items: center;
	}
	.terminal {
		width: 52%;
		max-width: 2.4rem;
		line-height: 1.15rem;
		border-radius: 0.2rem;
		font-weight: 700;
		text-align: center;
	}
	.plus {
		background: var(--color-base-content);
		color: var(--color-base-100);
	}
	.minus {
		border: 1.5px solid var(--color-base-content);
	}
	.bottom {
		margin-top: auto;
	}
	.name {
		margin-top: 0.55rem;
		font-weight: 700;
		font-size: 0.85rem;
	}
	.main {
		font-size: 1.06rem;
		font-weight: 650;
		margin-top: 0.35rem;
	}
	.minor {
		font-size: 0.75rem;
		white-space: nowrap;
		letter-spacing: -0.03em;
	}
	.low .name {
		margin-top: 0.2rem;
	}
	.low .main {
		margin-top: 0.05rem;
		font-size: 0.9rem;
	}
	@media (min-width: 641px) {
		.few .main {
			font-size: 1.4rem;
		}
		.few .minor {
			font-size: 0.95rem;
		}
	}
	@media (max-width: 640px) {
		.face:not(.low) .main {
			font-size: 0.95rem;
		}
		.minor {
			font-size: 0.7rem;
		}
	}
</style>
