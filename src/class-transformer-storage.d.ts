declare module 'class-transformer/cjs/storage.js' {
	export const defaultMetadataStorage: object;
}
