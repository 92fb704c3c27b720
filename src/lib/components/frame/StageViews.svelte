<script lang="ts" generics="View extends string">
	interface Props {
		/** Where the views are: `/banks/3/build`. */
		base: string;
		views: readonly { view: View; name: string }[];
		active: View;
		/** Kept beside the view, e.g. `?battery=2`. */
		search?: string;
	}
	let { base, views, active, search = '' }: Props = $props();
</script>

<nav class="views no-print" aria-label="Views">
	{#each views as { view, name } (view)}
		<a class="tap" href="{base}/{view}{search}" aria-current={view === active ? 'page' : undefined}>{name}</a>
	{/each}
</nav>

<style>
	.views {
		display: flex;
		flex-wrap: wrap;
		gap: 0.35rem;
		margin-bottom: 0.75rem;
	}
	a {
		display: inline-flex;
		align-items: center;
		padding: 0 0.8rem;
		border-radius: 0.6rem;
	}
	a[aria-current] {
		font-weight: 700;
		background: var(--color-base-100);
		box-shadow: 0 0 0 1.5px var(--color-base-content);
	}
	@media (max-width: 640px) {
		.views {
			flex-wrap: nowrap;
			overflow-x: auto;
			/* Room for the line around the one that is open. */
			padding: 2px;
		}
		a {
			white-space: nowrap;
		}
	}
</style>
