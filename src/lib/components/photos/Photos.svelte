<script lang="ts">
	import { announce, attempt } from '$lib/client/entry/announce';
	import { api } from '$lib/client/api/api';
	import { smallerPhoto } from '$lib/client/photos/photo';
	import type { SubjectKind } from '$lib/core/foundation/verdicts';

	interface Props {
		subjectKind: SubjectKind;
		subjectId: number;
		/** What it shows, for those who hear it: `H-03`. */
		label: string;
		/** What a new one is of: `dent`. */
		about?: string | null;
	}
	let { subjectKind, subjectId, label, about = null }: Props = $props();
	interface Shown {
		id: number;
		version: number;
		name: string;
		about: string | null;
	}
	let photos = $state<Shown[]>([]);
	let sending = $state(0);
	let input = $state<HTMLInputElement>();

	async function load(id: number) {
		const { items } = (await api.get('attachments', {
			subjectKind,
			subjectId: String(id),
			size: 100
		})) as unknown as {
			items: Shown[];
		};
		if (id === subjectId) photos = items;
	}
	$effect(() => {
		photos = [];
		const id = subjectId;
		void load(id).catch(() => undefined);
	});

	/** Each photo stays with what it was taken of, whatever is looked at when it has arrived. */
	async function take(files: FileList | null) {
		const id = subjectId;
		for (const file of files ?? []) {
			sending++;
			await attempt(async () => {
				const isPhoto = file.type.startsWith('image/');
				const body = isPhoto ? await smallerPhoto(file) : file;
				const told = {
					subjectKind,
					subjectId: String(id),
					name: file.name || 'photo',
					about: about ?? undefined,
					takenAt: file.lastModified ? new Date(file.lastModified).toISOString() : undefined
				};
				await api.sendFile('files', body, isPhoto ? 'image/jpeg' : file.type, told);
			});
			sending--;
		}
		if (input) input.value = '';
		await load(id).catch(() => undefined);
	}
	async function takeOff(photo: Shown) {
		if (!(await attempt(() => api.remove(`attachments/${photo.id}`, photo.version)))) return;
		announce(
			'The photo is taken off.',
			() =>
				void attempt(async () => {
					await api.restore(`attachments/${photo.id}`);
					await load(subjectId);
				})
		);
		await load(subjectId);
	}
</script>

<div class="flex flex-wrap items-center gap-2">
	{#each photos as photo (photo.id)}
		<span class="photo">
			<a href="/api/v1/attachments/{photo.id}/content" target="_blank" rel="noopener"
				><img
					src="/api/v1/attachments/{photo.id}/content?size=small"
					alt="{label}{photo.about ? `, ${photo.about}` : ''}: {photo.name}"
					loading="lazy"
				/></a
			>
			<button class="off" aria-label="Take off {photo.name}" onclick={() => void takeOff(photo)}>×</button>
		</span>
	{/each}
	<label class="btn tap no-print">
		<input
			bind:this={input}
			type="file"
			accept="image/*,application/pdf"
			multiple
			class="sr-only"
			onchange={(e) => void take(e.currentTarget.files)}
		/>{sending ? `Sending ${sending} …` : photos.length ? 'Another photo' : `Photo of ${label}`}
	</label>
</div>

<style>
	.photo {
		position: relative;
		display: inline-block;
	}
	.photo img {
		width: 5.5rem;
		height: 4.25rem;
		object-fit: cover;
		border-radius: 0.5rem;
		border: 1px solid var(--line);
	}
	.off {
		position: absolute;
		top: -0.5rem;
		right: -0.5rem;
		width: 1.75rem;
		height: 1.75rem;
		border-radius: 999px;
		background: var(--color-base-100);
		border: 1px solid var(--line);
		cursor: pointer;
	}
	label:focus-within {
		outline: 2px solid var(--color-base-content);
		outline-offset: 2px;
	}
</style>
