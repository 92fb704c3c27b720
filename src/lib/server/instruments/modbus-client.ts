import ModbusRTU from 'modbus-serial';
import { oneAtATime } from '../one-at-a-time';
import { InstrumentError } from './instrument-error';

/** A Modbus TCP instrument: registers of 16 bits, one request at a time. */
export interface ModbusClient {
	readInput(address: number, count: number): Promise<number[]>;
	close(): void;
}

const EXCEPTIONS: Record<number, string> = {
	1: 'does not know this function',
	2: 'has no such register',
	4: 'reports a failure of its own',
	6: 'is busy'
};

function asInstrumentError(error: unknown, patienceMs: number): InstrumentError {
	const { modbusCode, message, name } = error as { modbusCode?: number; message?: string; name?: string };
	if (modbusCode)
		return new InstrumentError(
			'refused',
			`The instrument ${EXCEPTIONS[modbusCode] ?? `answers exception ${modbusCode}`}.`
		);
	if (name === 'TransactionTimedOutError' || /timed out/i.test(message ?? ''))
		return new InstrumentError(
			'silent',
			`The instrument did not answer within ${patienceMs} ms: check its unit id too.`
		);
	if (/address|CRC|length|data|unexpected/i.test(message ?? ''))
		return new InstrumentError('nonsense', `The instrument’s answer makes no sense: ${message}.`);
	return new InstrumentError('away', `The connection broke: ${message ?? 'no reason given'}.`);
}

/** Connects to one unit. @throws InstrumentError */
export async function openModbus(
	host: string,
	port: number,
	unitId: number,
	patienceMs: number
): Promise<ModbusClient> {
	const client = new ModbusRTU();
	client.setTimeout(patienceMs);
	// The package reports late errors of a socket here too; the request that suffers rejects by itself.
	(client as unknown as NodeJS.EventEmitter).on('error', () => undefined);
	let timer: NodeJS.Timeout | undefined;
	const tooLate = new Promise<never>((_, failed) => {
		timer = setTimeout(() => failed(new Error('no answer')), patienceMs);
	});
	try {
		await Promise.race([client.connectTCP(host, { port }), tooLate]);
	} catch (error) {
		client.close(() => undefined);
		throw new InstrumentError(
			'away',
			`Nothing answers at ${host}:${port} (${(error as Error).message}). Is it on and plugged in?`
		);
	} finally {
		clearTimeout(timer);
		tooLate.catch(() => undefined);
	}
	client.setID(unitId);
	const turn = oneAtATime();
	/** One request at a time, given up by our own clock when the package does not notice. */
	const inTurn = <T>(work: () => Promise<T>): Promise<T> =>
		turn(() => withPatience(work(), 2 * patienceMs)).catch((error) => {
			throw error instanceof InstrumentError ? error : asInstrumentError(error, patienceMs);
		});
	return {
		readInput: (address, count) =>
			inTurn(async () => {
				const { data } = await client.readInputRegisters(address, count);
				if (data.length !== count)
					throw new InstrumentError('nonsense', 'The instrument sent another number of registers than asked.');
				return data;
			}),
		close: () => client.close(() => undefined)
	};
}

function withPatience<T>(work: Promise<T>, patienceMs: number): Promise<T> {
	return new Promise((done, failed) => {
		const timer = setTimeout(() => failed(new Error('Timed out')), patienceMs);
		work.then(done, failed).finally(() => clearTimeout(timer));
	});
}
