// npm run docs: writes the pages that are made from the code.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './steps/machine.mjs';
import { verdictPage } from './steps/verdict-docs.mjs';

writeFileSync(join(root, 'docs', 'verdicts.md'), verdictPage());
