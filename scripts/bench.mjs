// npm run bench: builds and runs the benchmarks. `-- --only core,draw,load,fuzz,scale,size,growth` runs a part.
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { CHROMIUM, MARIADB, checkNode, ensureBuild, ensurePackages, ensurePrograms, root } from './steps/machine.mjs';

checkNode();
ensurePackages();
ensurePrograms([MARIADB, CHROMIUM]);
ensureBuild();
const { values } = parseArgs({ options: { only: { type: 'string' } } });
const only = values.only?.split(',') ?? null;
const wanted = (name) => only === null || only.includes(name);
let holds = true;
if (wanted('core'))
	holds &&=
		spawnSync(process.execPath, [join(root, 'build-tools', 'bench.js')], { cwd: root, stdio: 'inherit' }).status === 0;
if (wanted('draw')) holds = (await (await import('./steps/bench-draw.mjs')).benchDraw()) && holds;
if (wanted('load')) holds = (await (await import('./steps/bench-server.mjs')).benchServer()) && holds;
if (wanted('fuzz')) holds = (await (await import('./steps/bench-server.mjs')).benchFuzz()) && holds;
if (wanted('scale')) holds = (await (await import('./steps/bench-scale.mjs')).benchScale()) && holds;
if (wanted('size')) holds = (await (await import('./steps/bench-size.mjs')).benchSize()) && holds;
if (wanted('growth')) holds = (await (await import('./steps/bench-growth.mjs')).benchGrowth()) && holds;
process.exit(holds ? 0 : 1);
