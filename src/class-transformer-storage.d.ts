declare module 'class-transformer/cjs/storage.js' {
	import type { validationMetadatasToSchemas } from 'class-validator-jsonschema';

	type Options = NonNullable<Parameters<typeof validationMetadatasToSchemas>[0]>;
	export const defaultMetadataStorage: Options['classTransformerMetadataStorage'];
}
