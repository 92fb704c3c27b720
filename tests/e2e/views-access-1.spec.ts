import { test } from '../support/e2e';
import { checkViews, mainViews } from '../support/main-views';

// Two files, so that two workers share them.
test('every other main view, from the first, is accessible in both themes, runs without an error and stays in its width', async ({
	page,
	request
}) => {
	test.setTimeout(600_000);
	const all = await mainViews(request);
	await checkViews(
		page,
		request,
		all.filter((_, i) => i % 2 === 0)
	);
});
