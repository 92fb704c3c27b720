import { it } from 'vitest';
import { askWorlds } from './ask-worlds';
import { coverages } from './summary';
import { coverageTable } from './report';
it('one', () => {
	console.log(coverageTable(coverages(askWorlds(200, 1, () => undefined, ['capacity from spot notes']))));
}, 600000);
