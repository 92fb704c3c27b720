// npm run truth: judges simulated worlds that differ from the model, 20 of them through the services, and writes docs/truth.md's
// figures. `-- --worlds 600 --seed 1`
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { checkNode, ensureBuild, ensurePackages, root } from './steps/machine.mjs';

checkNode();
ensurePackages();
ensureBuild();
const run = (args) => spawnSync(process.execPath, args, { cwd: root, stdio: 'inherit' }).status === 0;
const judged = run([join(root, 'build-tools', 'truth.js'), '--write', ...process.argv.slice(2)]);
const served = run([join(root, 'scripts', 'test.mjs'), '--only', 'db', '--file', 'truth']);
process.exit(judged && served ? 0 : 1);
