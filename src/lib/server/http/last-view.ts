import { error, type Cookies } from '@sveltejs/kit';

const A_YEAR_S = 365 * 86_400;

/**
 * The view of a stage that is asked for; without one, the one used last, else the first.
 * @throws 404 for a view the stage does not have
 */
export function viewAsked<View extends string>(
	asked: string | undefined,
	views: readonly [View, ...View[]],
	stage: string,
	cookies: Cookies
): View {
	const name = `view-${stage}`;
	const known = (view: string | undefined): view is View => (views as readonly (string | undefined)[]).includes(view);
	if (asked === undefined) {
		const last = cookies.get(name);
		return known(last) ? last : views[0];
	}
	if (!known(asked)) error(404, { message: `There is no view “${asked.slice(0, 40)}” here.` });
	if (cookies.get(name) !== asked)
		cookies.set(name, asked, { path: '/', maxAge: A_YEAR_S, httpOnly: true, sameSite: 'lax', secure: false });
	return asked;
}
