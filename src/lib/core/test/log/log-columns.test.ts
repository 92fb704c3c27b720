import { describe, expect, it } from 'vitest';
import { findColumns } from './log-columns';

const found = (...headers: string[]) => {
	const columns = findColumns(headers);
	return (
		columns && [columns.time, columns.voltage, columns.current].map((c) => `${c.index}:${c.unit || '?'}`).join(' ')
	);
};

describe('columns of a log', () => {
	it.each([
		[['time_s', 'voltage_V', 'current_A'], '0:s 1:v 2:a'],
		[['Time(ms)', 'Voltage(mV)', 'Current(mA)'], '0:ms 1:mv 2:ma'],
		[['Record', 'Test Time [min]', 'Cell V', 'I/A', 'Temp (C)'], '1:min 2:v 3:a'],
		[['Date/Time', 'Capacity(mAh)', 'Vol(V)', 'Cur(A)', 'Power(W)'], '0:? 2:v 3:a'],
		[['Zeit', 'Spannung', 'Strom'], '0:? 1:? 2:?'],
		[['Temps (h)', 'Tension (V)', 'Courant (A)'], '0:h 1:v 2:a'],
		[['T', 'U', 'I'], '0:? 1:? 2:?'],
		[['Timestamp', 'Energy(Wh)', 'VOLTAGE', 'Charge Current (A)'], '0:? 2:? 3:a']
	])('%j', (headers, expected) => expect(found(...headers)).toBe(expected));
	it.each([[['time', 'voltage']], [['a', 'b', 'c']], [['Capacity (Ah)', 'Energy (Wh)', 'Temp']], [[]]])(
		'finds no header in %j',
		(headers) => expect(found(...headers)).toBeNull()
	);
});
