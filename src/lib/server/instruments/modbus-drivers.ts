import { NO_READING, type Driver } from './driver';
import { InstrumentError } from './instrument-error';
import { openModbus, type ModbusClient } from './modbus-client';

/** Version of the register maps this reads (docs/protocols.md). */
const MAP_VERSION = 1;
const BMS_GROUPS_AT = 100;

const int16 = (word: number): number => (word << 16) >> 16;
const int32 = (high: number, low: number): number => (high << 16) | low;
const uint64 = (words: readonly number[]): number => words.reduce((sum, word) => sum * 65_536 + word, 0);

async function checkMap(client: ModbusClient): Promise<number> {
	const [version, groups] = await client.readInput(0, 2);
	if (version !== MAP_VERSION)
		throw new InstrumentError(
			'nonsense',
			`This speaks register map ${version}, not ${MAP_VERSION}: is it the right instrument?`
		);
	return groups!;
}

async function readBms(client: ModbusClient) {
	const head = await client.readInput(0, 14);
	const groups = head[1];
	if (groups === 0) throw new InstrumentError('refused', 'The BMS sees no battery: wire the cells in series first.');
	const groupV = (await client.readInput(BMS_GROUPS_AT, groups!)).map((mV) => int16(mV) / 1000);
	return {
		...NO_READING,
		atMs: uint64(head.slice(10, 14)),
		voltageV: int32(head[4]!, head[5]!) / 1000,
		currentA: int32(head[6]!, head[7]!) / 1000,
		groupV,
		temperatureC: int16(head[8]!) / 10,
		allows: { charge: (head[2]! & 1) !== 0, discharge: (head[2]! & 2) !== 0 }
	};
}

async function readShunt(client: ModbusClient) {
	const words = await client.readInput(2, 10);
	return {
		...NO_READING,
		atMs: uint64(words.slice(6, 10)),
		voltageV: int32(words[0]!, words[1]!) / 1000,
		currentA: int32(words[2]!, words[3]!) / 1000,
		countedAh: int32(words[4]!, words[5]!) / 1000
	};
}

/** Opens a BMS or a shunt. */
export async function openModbusDriver(
	kind: 'bms' | 'shunt',
	host: string,
	port: number,
	unitId: number,
	patienceMs: number
): Promise<Driver> {
	const client = await openModbus(host, port, unitId, patienceMs);
	return {
		async identify() {
			const groups = await checkMap(client);
			const text = kind === 'bms' ? `BMS, ${groups ? `${groups} groups` : 'no battery connected'}` : 'Shunt';
			return { text: `${text}, register map ${MAP_VERSION}, unit ${unitId}`, ownClock: true, watchdog: false };
		},
		read: () => (kind === 'bms' ? readBms(client) : readShunt(client)),
		close: client.close
	};
}
