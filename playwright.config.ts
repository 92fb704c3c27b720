import { defineConfig } from '@playwright/test';

export default defineConfig({
	testDir: 'tests/e2e',
	outputDir: 'test-results',
	timeout: 60_000,
	expect: { timeout: 10_000 },
	retries: process.env.CI ? 1 : 0,
	workers: 1,
	reporter: [['list'], ['json']],
	use: {
		baseURL: process.env.E2E_ADDRESS,
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
