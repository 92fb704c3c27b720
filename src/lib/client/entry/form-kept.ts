import type { SubmitFunction } from '@sveltejs/kit';
import { ApiProblem } from '../api/api';
import { announce, endRefusals, refused } from './announce';
import { tellOtherTabs } from '../tabs/other-tabs';

interface Told {
	/** Why fields were refused, by their name; empty while it is sent. */
	onfields?: (fields: Record<string, string>) => void;
	/** It was kept, and the page shows it. */
	onkept?: () => void;
	/** Nothing is said when it was kept: the page shows it at once. */
	quiet?: boolean;
}

const away = () =>
	new ApiProblem(
		0,
		'unreachable',
		'The server does not answer. What you typed is kept here; try again when it is back.',
		{}
	);

/** Told by a form, upwards, once what was typed in it is kept. */
export const KEPT_EVENT = 'form-kept';

/** How a plain form is sent while the page is awake: what is typed stays, a refusal is said, the page follows. */
export const formKept =
	({ onfields, onkept, quiet = false }: Told = {}): SubmitFunction =>
	({ formElement }) => {
		onfields?.({});
		return async ({ result, update }) => {
			if (result.type === 'failure') {
				const { message = '', fields = {} } = (result.data ?? {}) as Partial<ApiProblem>;
				onfields?.(fields);
				refused(new ApiProblem(result.status, 'refused', message, fields));
				return;
			}
			if (result.type === 'error') return refused(away());
			if (result.type === 'success' || result.type === 'redirect') endRefusals();
			if (result.type === 'success' && !quiet) announce((result.data as { said?: string })?.said ?? 'Kept.');
			tellOtherTabs();
			if (result.type === 'success') formElement.dispatchEvent(new CustomEvent(KEPT_EVENT, { bubbles: true }));
			await update({ reset: false });
			onkept?.();
		};
	};
