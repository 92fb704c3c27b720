import openapiTS, { astToString } from 'openapi-typescript';
import { expect, it } from 'vitest';
import { version } from '../../../../package.json';
import { openApiDocument } from './document';

it('the client’s types are those of the description; `npm run docs` makes them anew', async () => {
	const described = JSON.stringify(openApiDocument(version));
	const made = astToString(await openapiTS(described, { alphabetize: true, defaultNonNullable: false }));
	await expect(`// Made from the API's description by npm run docs.\n${made}`).toMatchFileSnapshot(
		'../../client/api/api-types.ts'
	);
});
