// npm run bench: builds and runs the benchmarks.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { MARIADB, checkNode, ensureBuild, ensurePackages, ensurePrograms, root } from './steps/machine.mjs';

checkNode();
ensurePackages();
ensurePrograms([MARIADB]);
ensureBuild();
const core = spawnSync(process.execPath, [join(root, 'build-tools', 'bench.js')], { cwd: root, stdio: 'inherit' });
const { benchServer } = await import('./steps/bench-server.mjs');
const responsive = await benchServer();
process.exit(core.status === 0 && responsive ? 0 : 1);
