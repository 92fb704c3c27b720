import { fileURLToPath } from 'node:url';
import { svelte } from '@sveltejs/vite-plugin-svelte';
import { defineConfig } from 'vitest/config';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));
const shared = {
	oxc: { decorator: { legacy: true } },
	resolve: { alias: { $lib: here('./src/lib'), $demo: here('./demo') } }
};

export default defineConfig({
	test: {
		projects: [
			{
				...shared,
				plugins: [svelte()],
				test: {
					name: 'unit',
					// A busy machine is no failure.
					testTimeout: 120_000,
					hookTimeout: 120_000,
					include: [
						'src/**/*.test.ts',
						'demo/**/*.test.ts',
						'truth/**/*.test.ts',
						'stand-ins/**/*.test.ts',
						'tests/drivers/**/*.test.ts',
						'tests/scripts/**/*.test.ts'
					]
				}
			},
			{
				...shared,
				test: {
					name: 'db',
					include: ['tests/db/**/*.test.ts'],
					setupFiles: ['tests/support/set-up.ts'],
					testTimeout: 180_000,
					hookTimeout: 180_000,
					fileParallelism: false
				}
			},
			{
				...shared,
				test: { name: 'start', include: ['tests/start/**/*.test.ts'], testTimeout: 300_000, hookTimeout: 180_000 }
			}
		]
	}
});
