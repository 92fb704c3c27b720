// npm run bench: builds and runs the benchmarks.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { checkNode, ensureBuild, ensurePackages, root } from './steps/machine.mjs';

checkNode();
ensurePackages();
ensureBuild();
process.exit(
	spawnSync(process.execPath, [join(root, 'build-tools', 'bench.js')], { cwd: root, stdio: 'inherit' }).status ?? 1
);
