// npm run stand-ins [-- --port 5320]: the simulated bench, a process of its own.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { checkNode, ensureBuild, ensurePackages, root } from './steps/machine.mjs';

checkNode();
ensurePackages();
ensureBuild();
const child = spawn(process.execPath, [join(root, 'build-tools', 'stand-ins.js'), ...process.argv.slice(2)], {
	cwd: root,
	stdio: 'inherit'
});
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => child.kill(signal));
child.once('exit', (code) => process.exit(code ?? 0));
