import { defineConfig } from '@playwright/test';
import { ofWorker } from './tests/support/of-worker';

/** One application for each worker, with a database and a bench of its own. */
const addresses = process.env.E2E_ADDRESS ?? '';

export default defineConfig({
	testDir: 'tests/e2e',
	outputDir: 'test-results',
	// Whatever is sent changes the data of the worker's application: nobody tests on that afterwards.
	projects: [
		{ name: 'pages', testIgnore: '**/fuzz.spec.ts' },
		{ name: 'fuzz', testMatch: '**/fuzz.spec.ts', dependencies: ['pages'] }
	],
	// A busy machine is no failure.
	timeout: 300_000,
	expect: { timeout: 30_000 },
	// A test that fails once has failed.
	retries: 0,
	workers: addresses.split(',').length,
	reporter: [['list'], ['json']],
	use: {
		baseURL: ofWorker(addresses),
		viewport: { width: 1280, height: 800 },
		screenshot: 'off',
		launchOptions: {
			executablePath: '/usr/bin/chromium',
			args: [
				'--no-sandbox',
				'--disable-gpu',
				'--disable-background-networking',
				'--disable-component-update',
				'--no-first-run'
			]
		}
	}
});
