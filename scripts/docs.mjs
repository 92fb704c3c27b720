// npm run docs: writes what is made from the code: docs/verdicts.md, docs/house.svg, and the types of the API for its client.
import { spawnSync } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './steps/machine.mjs';
import { houseMap } from './steps/house-map.mjs';
import { verdictPage } from './steps/verdict-docs.mjs';

writeFileSync(join(root, 'docs', 'verdicts.md'), verdictPage());
writeFileSync(join(root, 'docs', 'house.svg'), houseMap());
const types = ['vitest', 'run', '--project', 'unit', 'src/lib/server/openapi/api-types.test.ts', '-u'];
process.exit(spawnSync('npx', types, { cwd: root, stdio: 'inherit' }).status ?? 1);
