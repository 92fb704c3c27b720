import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { readyScenario } from '$lib/core/world/rehearsal';
import { startBench, type BenchServer } from './bench-server';
import { openWire, quoted, type Wire } from './testing/wire';

let bench: BenchServer;
const wires: Wire[] = [];
const portOf = (name: string) => bench.addresses.find((a) => a.name === name)!.port;
async function open(name: string): Promise<Wire> {
	const wire = await openWire(portOf(name));
	wires.push(wire);
	return wire;
}

/** A busy machine is no failure. */
const PATIENT = { timeout: 60_000 };

beforeAll(async () => {
	bench = await startBench(0);
});
afterAll(() => {
	wires.forEach((w) => w.close());
	bench.close();
});
beforeEach(() => bench.world.load({ ...readyScenario('first-crate'), timeFactor: 1 }));

describe('IEEE 488.2 common commands', () => {
	it('tell who it is in four fields', async () => {
		const supply = await open('supply');
		expect((await supply.ask('*IDN?')).split(',')).toHaveLength(4);
	});
	it('answer several queries of a line in one line', async () => {
		const load = await open('load');
		expect(await load.ask('*OPC?;*TST?;SYST:VERS?')).toBe('1;0;1999.0');
	});
	it('report power-on and the class of an error in the event register, once', async () => {
		const meter = await open('voltmeter');
		await meter.ask('*ESR?');
		meter.send('NONSENSE');
		expect(Number(await meter.ask('*ESR?')) & 32).toBe(32);
		expect(Number(await meter.ask('*ESR?'))).toBe(0);
	});
	it('sum up in the status byte what is enabled', async () => {
		const meter = await open('ohmmeter');
		meter.send('*CLS;*ESE 32;*SRE 32;BAD:HEADER');
		// Error queue 4, event 32, service request 64.
		expect(await meter.ask('*STB?')).toBe('100');
		meter.send('*CLS');
		expect(await meter.ask('*STB?;*ESE?;*SRE?')).toBe('0;32;32');
	});
	it('go back to a safe state on reset', async () => {
		const supply = await open('supply');
		supply.send('SOUR:VOLT 3.5;CURR 10;:OUTP ON');
		expect(await supply.ask('OUTP?;SOUR:VOLT?')).toBe('1;3.5000');
		supply.send('*RST');
		expect(await supply.ask('OUTP?;SOUR:VOLT?;CURR?')).toBe('0;0.0000;0.0000');
	});
});

describe('headers', () => {
	it.each(['MEAS:VOLT?', 'measure:voltage?', ':MEASure:SCALar:VOLTage:DC?', 'Meas:Volt:dc?'])(
		'%s means the voltage',
		async (header) => {
			const meter = await open('voltmeter');
			meter.send('*CLS');
			expect(await meter.ask(header)).toMatch(/^-?\d\.\d{4}$/);
			expect(await meter.ask('SYST:ERR?')).toBe('0,"No error"');
		}
	);
	it('of a second command start at the level of the first', async () => {
		const supply = await open('supply');
		supply.send('SOUR:VOLT 3.4;CURR 5');
		expect(await supply.ask('VOLT?;CURR?')).toBe('3.4000;5.0000');
		expect((await supply.ask('MEAS:VOLT?;CURR?')).split(';')).toHaveLength(2);
	});
	it('that are neither the short nor the long form are not known', async () => {
		const meter = await open('voltmeter');
		meter.send('*CLS');
		meter.send('MEASU:VOLT?');
		expect(await meter.ask('SYST:ERR?')).toMatch(/^-113,/);
	});
});

describe('the error queue', () => {
	it.each([
		['VOLT', -109, 'a parameter missing'],
		['VOLT abc', -104, 'a word for a number'],
		['VOLT 3 KG', -131, 'a wrong unit'],
		['VOLT 1000', -222, 'a value out of range'],
		['OUTP MAYBE', -104, 'neither on nor off'],
		['VOLT? 3', -108, 'a parameter to a query'],
		['VOLT "3', -151, 'an open quote'],
		['3VOLT', -102, 'no header at all'],
		['FOO:BAR 3', -113, 'an unknown header']
	])('%s gives %i: %s', async (line, code) => {
		const supply = await open('supply');
		supply.send('*CLS');
		supply.send(line);
		expect(Number((await supply.ask('SYST:ERR?')).split(',')[0])).toBe(code);
		expect(await supply.ask('SYST:ERR?')).toBe('0,"No error"');
	});
	it('is first in, first out, and overflows with -350 at its end', async () => {
		const supply = await open('supply');
		supply.send('*CLS');
		supply.send('FIRST:ONE 1');
		for (let n = 0; n < 25; n++) supply.send('VOLT 1000');
		expect(await supply.ask('SYST:ERR:COUN?')).toBe('20');
		expect(await supply.ask('SYST:ERR?')).toMatch(/^-113/);
		let last = '';
		for (let n = 0; n < 19; n++) last = await supply.ask('SYST:ERR?');
		expect(last).toMatch(/^-350/);
	});
	it('stops the rest of a line after an error', async () => {
		const supply = await open('supply');
		supply.send('*CLS;VOLT 2');
		supply.send('VOLT 1000;CURR 7');
		expect(await supply.ask('CURR?')).not.toBe('7.0000');
	});
	it('takes numbers with units and multipliers', async () => {
		const supply = await open('supply');
		supply.send('VOLT 3650MV;CURR 20 A');
		expect(await supply.ask('VOLT?;CURR?')).toBe('3.6500;20.0000');
		supply.send('VOLT MAX');
		expect(await supply.ask('VOLT?')).toBe('60.0000');
	});
});

describe('what is set takes effect in the one world', () => {
	it('the supply charges the cell it is clipped to, and the voltmeter sees it', async () => {
		const [supply, meter, hands] = [await open('supply'), await open('voltmeter'), await open('hands')];
		hands.send(`HAND:CLIP VOLT,${quoted({ cell: 0 })};CLIP SUPP,${quoted({ cell: 0 })}`);
		await hands.ask('*OPC?');
		const before = Number(await meter.ask('MEAS:VOLT?'));
		supply.send('VOLT 3.6;CURR 30;:OUTP ON');
		expect(Number(await supply.ask('MEAS:CURR?'))).toBeCloseTo(30, 1);
		expect(Number(await meter.ask('MEAS:VOLT?'))).toBeGreaterThan(before + 0.01);
		const clock = Number(await supply.ask('SYST:CLOC?'));
		hands.send('WORL:TIME:FACT 10000');
		// Each question lets it go on.
		await expect.poll(async () => Number(await supply.ask('SYST:CLOC?')) - clock, PATIENT).toBeGreaterThan(1000);
		const { soc } = bench.world.bench().cells;
		expect(soc[0]).toBeGreaterThan(soc[1]! + 0.05);
	});
	it('fast time waits for whoever watches an output that is on', async () => {
		const [supply, hands] = [await open('supply'), await open('hands')];
		hands.send(`HAND:CLIP SUPP,${quoted({ cell: 0 })};:WORL:TIME:FACT 10000`);
		await hands.ask('*OPC?');
		supply.send('VOLT 3.6;CURR 30;:OUTP ON');
		const clock = Number(await supply.ask('SYST:CLOC?'));
		await new Promise((done) => setTimeout(done, 500));
		// 1 % of 100 Ah at 30 A is 120 s, and it looks every 10 s.
		expect(bench.world.clockMs()! / 1000 - clock).toBeLessThan(131);
		supply.send('CURR 1');
		const slower = Number(await supply.ask('SYST:CLOC?'));
		await new Promise((done) => setTimeout(done, 500));
		expect(bench.world.clockMs()! / 1000 - slower).toBeLessThan(311);
		supply.send('OUTP OFF');
		await supply.ask('*OPC?');
		await expect.poll(() => bench.world.clockMs()! / 1000 - clock, PATIENT).toBeGreaterThan(1500);
	});
	it('the load discharges, and switches itself off at its cut-off', async () => {
		const [load, hands] = [await open('load'), await open('hands')];
		hands.send(`HAND:CLIP LOAD,${quoted({ cell: 1 })}`);
		await hands.ask('*OPC?');
		load.send('FUNC CURR;CURR 50;VOLT:CUT 2.5;:INP ON');
		expect(Number(await load.ask('MEAS:CURR?'))).toBeCloseTo(50, 1);
		bench.world.skip(3600);
		expect(await load.ask('INP?;INP:TRIP?')).toBe('0;1');
		expect(Number(await load.ask('MEAS:CURR?'))).toBeCloseTo(0, 1);
	});
	it('the milliohm meter answers in ohms, and not at all with its probes free', async () => {
		const [meter, hands] = [await open('ohmmeter'), await open('hands')];
		expect(await meter.ask('MEAS:FRES?')).toBe('9.91E37');
		hands.send(`HAND:CLIP OHMM,${quoted({ cell: 2 })}`);
		await hands.ask('*OPC?');
		// 0.05 Ω·Ah over 100 Ah, of which 1 kHz shows 0.7; slightly cold bench.
		expect(Number(await meter.ask('MEAS:FRES?'))).toBeGreaterThan(0.0003);
		expect(Number(await meter.ask('MEAS:FRES?'))).toBeLessThan(0.0006);
	});
	it('clips are not moved under current, and the refusal says why', async () => {
		const [supply, hands] = [await open('supply'), await open('hands')];
		hands.send('*CLS');
		supply.send('VOLT 3.5;CURR 1;:OUTP ON');
		await supply.ask('*OPC?');
		hands.send(`HAND:CLIP SUPP,${quoted({ cell: 0 })}`);
		expect(await hands.ask('SYST:ERR?')).toMatch(/^-221,.*Switch the supply off/);
	});
	it('an output goes off by itself when nobody has spoken for the watchdog’s time', async () => {
		const supply = await open('supply');
		expect(await supply.ask('VOLT 3.5;CURR 1;:OUTP:WATC 0.3;:OUTP ON;:OUTP?')).toBe('1');
		await expect.poll(() => bench.world.bench().supply.on, PATIENT).toBe(false);
		supply.send('OUTP:WATC 0');
		await supply.ask('*OPC?');
	});
});

describe('faults on demand', () => {
	const fault = async (kind: string, answers = 1) => {
		const hands = await open('hands');
		hands.send(`FAUL 'voltmeter',${kind},${answers}`);
		await hands.ask('*OPC?');
		return open('voltmeter');
	};
	it('silence leaves a query unanswered, then all is well', async () => {
		const meter = await openWire(portOf('voltmeter'), 300);
		wires.push(meter);
		await fault('silence');
		await expect(meter.ask('*IDN?')).rejects.toThrow(/no answer/);
		const again = await open('voltmeter');
		expect(await again.ask('*OPC?')).toBe('1');
	});
	it('garbage is not an answer', async () => {
		const meter = await fault('garbage');
		const bytes = new Promise<string>((done) => meter.raw.once('data', (d) => done(String(d))));
		meter.send('*IDN?');
		expect(await bytes).not.toMatch(/Lantern/);
	});
	it('partial stops in the middle of a line', async () => {
		const meter = await fault('partial');
		const bytes = new Promise<string>((done) => meter.raw.once('data', (d) => done(String(d))));
		meter.send('*IDN?');
		expect(await bytes).toMatch(/^Lantern[^\n]*$/);
	});
	it('reset ends the connection', async () => {
		const meter = await fault('reset');
		const closed = new Promise((done) => meter.raw.once('close', done));
		meter.send('*IDN?');
		await closed;
	});
});

describe('the hands', () => {
	it('refuse a scenario that cannot be, naming the field', async () => {
		const hands = await open('hands');
		hands.send('*CLS');
		hands.send(`WORL:LOAD ${quoted({ ...readyScenario('first-crate'), series: 99 })}`);
		expect(await hands.ask('SYST:ERR?')).toMatch(/series requires a whole number/);
	});
	it('show nothing that is hidden', async () => {
		const hands = await open('hands');
		const state = await hands.ask('WORL:STAT?');
		expect(state).not.toMatch(/capacity|soc|gain/i);
		expect(JSON.parse(state)).toMatchObject({ wiring: 'loose', timeFactor: 1 });
	});
	it('save the bench and set it up again as it was, switched off', async () => {
		const hands = await open('hands');
		hands.send(`HAND:WIRE ${quoted({ kind: 'series', groups: [[0], [1], [2], [3]] })}`);
		await hands.ask('*OPC?');
		bench.world.skip(86400);
		const saved = await hands.ask('WORL:SAVE?');
		const before = [...bench.world.bench().cells.soc];
		bench.world.load(readyScenario('everything'));
		hands.send(`WORL:REST '${saved.replaceAll("'", "''")}'`);
		const state = JSON.parse(await hands.ask('WORL:STAT?')) as { wiring: string; groups: number[][]; timeS: number };
		expect(state).toMatchObject({ wiring: 'series', groups: [[0], [1], [2], [3]] });
		expect(state.timeS).toBeGreaterThanOrEqual(86400);
		bench.world.bench().cells.soc.forEach((soc, i) => expect(soc).toBeCloseTo(before[i]!, 4));
	});
});
