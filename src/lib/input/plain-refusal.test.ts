import { expect, test } from 'vitest';
import { plainRefusal } from './plain-refusal';

test.each([
	['chargeLimitV requires a number from 0.5 to 10', 'Charge limit (V) needs a number from 0.5 to 10'],
	['cell.dischargeLimitV requires a number above 0, got -1', 'Discharge limit (V) needs a number above 0, got -1'],
	[
		'groupVoltagesV.2 requires a finite number, got null',
		'Group voltages (V), number 3, needs a finite number, got null'
	],
	['bankId requires a whole number from 1 to 9', 'Bank needs a whole number from 1 to 9'],
	['readings require rising times, got 3 s', 'Readings needs rising times, got 3 s'],
	['Nothing was kept. name requires text', 'Nothing was kept. Name needs text'],
	['on the plateau until 2.0039659064713864 A', 'on the plateau until 2.004 A'],
	['16S2P requires 32 cells, got 30. Add cells.', '16S2P requires 32 cells, got 30. Add cells.'],
	['The body requires a JSON object', 'The body requires a JSON object']
])('%s → %s', (raw, plain) => expect(plainRefusal(raw)).toBe(plain));
