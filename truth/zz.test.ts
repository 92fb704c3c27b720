import { it } from 'vitest';
import { askWorlds } from './ask-worlds';
import { coverages } from './summary';
import { coverageTable } from './report';
it('one', () => {
	console.log(coverageTable(coverages(askWorlds(600, 1, () => undefined, ['earlier lots']))));
}, 600000);
