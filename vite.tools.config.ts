import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url));

/** Builds what runs outside the web application's own bundle: demo loader, benchmark, server threads. */
export default defineConfig({
	oxc: { decorator: { legacy: true } },
	resolve: { alias: { $lib: here('./src/lib') } },
	build: {
		ssr: true,
		outDir: 'build-tools',
		emptyOutDir: true,
		target: 'node20',
		rollupOptions: {
			input: {
				serve: here('./src/lib/server/http/serve.ts'),
				demo: here('./demo/main.ts'),
				bench: here('./bench/main.ts'),
				truth: here('./truth/main.ts'),
				'stand-ins': here('./stand-ins/main.ts'),
				'match-thread': here('./src/lib/workers/match-thread.ts'),
				'simulation-thread': here('./src/lib/workers/simulation-thread.ts'),
				'log-thread': here('./src/lib/workers/log-thread.ts'),
				'year-thread': here('./src/lib/workers/year-thread.ts'),
				'measuring-thread': here('./src/lib/workers/measuring-thread.ts'),
				'fade-thread': here('./src/lib/workers/fade-thread.ts'),
				'judge-thread': here('./src/lib/server/judge-thread.ts'),
				fuzz: here('./tests/support/fuzz.ts'),
				'import-thread': here('./src/lib/server/threads/import-thread.ts')
			}
		}
	}
});
