import js from '@eslint/js';
import svelte from 'eslint-plugin-svelte';
import globals from 'globals';
import ts from 'typescript-eslint';
import svelteConfig from './svelte.config.js';

export default ts.config(
	{
		ignores: [
			'build/',
			'build-tools/',
			'.svelte-kit/',
			'node_modules/',
			'data/',
			'test-results/',
			'src/lib/client/api/api-types.ts'
		]
	},
	js.configs.recommended,
	...ts.configs.recommended,
	...svelte.configs.recommended,
	{ languageOptions: { globals: { ...globals.browser, ...globals.node } } },
	{
		files: ['**/*.svelte', '**/*.svelte.ts'],
		languageOptions: { parserOptions: { parser: ts.parser, extraFileExtensions: ['.svelte'], svelteConfig } }
	},
	{
		files: ['src/**/*.ts', 'src/**/*.svelte', 'demo/**/*.ts', 'bench/**/*.ts', 'stand-ins/**/*.ts', 'tests/**/*.ts'],
		languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
		rules: {
			// A promise nobody waits for hides its failure.
			'@typescript-eslint/no-floating-promises': 'error',
			'@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
			'@typescript-eslint/await-thenable': 'error'
		}
	},
	{
		rules: {
			// TypeScript finds undefined names better.
			'no-undef': 'off',
			// Addresses are written out; the application has no base path.
			'svelte/no-navigation-without-resolve': 'off',
			'@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
			// Dates and queries built in one go and handed on are not reactive state.
			'svelte/prefer-svelte-reactivity': 'off',
			'no-irregular-whitespace': 'off',
			'max-lines': ['error', { max: 300, skipBlankLines: true, skipComments: true }]
		}
	},
	{
		files: ['src/lib/core/**/*.ts'],
		ignores: ['**/*.test.ts'],
		rules: {
			'no-restricted-globals': ['error', 'window', 'document', 'process', 'performance', 'fetch', 'localStorage'],
			'no-restricted-properties': [
				'error',
				{ object: 'Math', property: 'random', message: 'Chance comes in as an argument.' },
				{ object: 'Date', property: 'now', message: 'Time comes in as an argument.' }
			]
		}
	},
	{
		files: ['src/**/*.ts', 'src/**/*.svelte'],
		ignores: ['src/lib/client/tabs/look-again.ts'],
		rules: {
			'no-restricted-imports': [
				'error',
				{
					paths: [
						{
							name: '$app/navigation',
							importNames: ['invalidateAll'],
							message: 'lookAgain of client/tabs/look-again waits for a page that is being opened.'
						}
					]
				}
			]
		}
	},
	{ files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } }
);
