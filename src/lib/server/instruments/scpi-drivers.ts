import { NO_READING, type Driver, type InstrumentReading } from './driver';
import { InstrumentError } from './instrument-error';
import { openScpi } from './scpi-client';

export type ScpiKind = 'supply' | 'load' | 'voltmeter' | 'ohmmeter';

interface Dialect {
	/** What is asked for one reading, in one line, and what its answers mean. */
	query: string;
	take(answers: number[]): Partial<InstrumentReading>;
	set?(voltageV: number, currentA: number): string;
	/** Asks for voltage and current as they are set. */
	setQuery?: string;
	output?: 'OUTP' | 'INP';
}

const DIALECTS: Record<ScpiKind, Dialect> = {
	supply: {
		query: 'MEAS:VOLT?;CURR?;:OUTP?',
		take: ([voltageV, currentA, on]) => ({ voltageV, currentA, on: on === 1 }),
		set: (voltageV, currentA) => `VOLT ${voltageV};CURR ${currentA}`,
		setQuery: 'VOLT?;CURR?',
		output: 'OUTP'
	},
	load: {
		query: 'MEAS:VOLT?;CURR?;:INP?;INP:TRIP?',
		take: ([voltageV, currentA, on, cutOff]) => ({
			voltageV,
			currentA: -currentA!,
			on: on === 1,
			cutOff: cutOff === 1
		}),
		set: (voltageV, currentA) => `FUNC CURR;CURR ${currentA};VOLT:CUT ${voltageV}`,
		setQuery: 'VOLT:CUT?;CURR?',
		output: 'INP'
	},
	voltmeter: { query: 'MEAS:VOLT?', take: ([voltageV]) => ({ voltageV }) },
	ohmmeter: { query: 'MEAS:FRES?', take: ([resistanceOhm]) => ({ resistanceOhm }) }
};

/** Maker, model, serial number, firmware (IEEE 488.2). */
const IDENTITY = /^[\w .()&+/-]{1,64},[\w .()&+/-]{1,64},[\w .()&+/:-]{0,64},[\w .()&+/:-]{0,64}$/;

/** Two numbers: voltage and current as they are set. */
const SETTINGS = /^[-+.\dEe]+;[-+.\dEe]+$/;

/** SCPI's number for "nothing to measure"; open probes. */
const NOTHING = 9e37;

/** Numbers of an answer line. @throws InstrumentError when it is not as many numbers as were asked */
function numbersOf(answer: string, count: number): number[] {
	const numbers = answer.split(';').map((text) => (text.trim() === '' ? NaN : Number(text)));
	if (numbers.length !== count || numbers.some((n) => !Number.isFinite(n)))
		throw new InstrumentError('nonsense', `Asked for ${count} figures, the instrument answered something else.`);
	return numbers;
}

/** Opens a SCPI instrument of a kind. */
export async function openScpiDriver(kind: ScpiKind, host: string, port: number, patienceMs: number): Promise<Driver> {
	const client = await openScpi(host, port, patienceMs);
	const dialect = DIALECTS[kind];
	const count = dialect.query.split('?').length - 1;
	let ownClock = false;
	let watchdog = false;
	let tellsSettings = false;
	const { output, set, setQuery } = dialect;
	const query = () =>
		[dialect.query, ...(tellsSettings ? [setQuery!] : []), ...(ownClock ? ['SYST:CLOC?'] : [])].join(';:');
	return {
		async identify() {
			const text = await client.ask('*IDN?');
			// What somebody else's service says there is not shown: it may be anything.
			if (!IDENTITY.test(text))
				throw new InstrumentError('nonsense', 'What answers there is no instrument of this kind.');
			ownClock = (await client.askIfKnown('SYST:CLOC?')) !== null;
			watchdog = output !== undefined && (await client.askIfKnown(`${output}:WATC?`)) !== null;
			tellsSettings = setQuery !== undefined && SETTINGS.test((await client.askIfKnown(setQuery)) ?? '');
			return { text, ownClock, watchdog };
		},
		async read() {
			const numbers = numbersOf(await client.ask(query()), count + (tellsSettings ? 2 : 0) + (ownClock ? 1 : 0));
			const atMs = ownClock ? Math.round(numbers.pop()! * 1000) : Date.now();
			const [voltageV, currentA] = tellsSettings ? numbers.splice(count) : [];
			if (numbers.some((n) => Math.abs(n) >= NOTHING))
				throw new InstrumentError('refused', 'The probes touch nothing: put them on the cell.');
			const setTo = tellsSettings ? { setTo: { voltageV: voltageV!, currentA: currentA! } } : {};
			return { ...NO_READING, ...dialect.take(numbers), ...setTo, atMs };
		},
		...(output && set
			? {
					async set(setting, watchdogS) {
						await client.tell(set(setting.voltageV, setting.currentA));
						if (watchdog) await client.tell(`${output}:WATC ${watchdogS}`);
					},
					switchOutput: (on: boolean) => client.tell(`${output} ${on ? 'ON' : 'OFF'}`)
				}
			: {}),
		close: client.close
	};
}
