import type { Driver, InstrumentKind } from './driver';
import { openModbusDriver } from './modbus-drivers';
import { openScpiDriver } from './scpi-drivers';

export interface InstrumentAddress {
	kind: InstrumentKind;
	host: string;
	port: number;
	/** Modbus unit; null for SCPI. */
	unitId: number | null;
}

/** Longest an instrument may take for one answer, ms (default). */
export const PATIENCE_MS = 1500;

/** Opens the driver that fits an instrument's kind: BMS and shunt over Modbus TCP, everything else over SCPI. */
export function openDriver(address: InstrumentAddress, patienceMs = PATIENCE_MS): Promise<Driver> {
	const { kind, host, port, unitId } = address;
	return kind === 'bms' || kind === 'shunt'
		? openModbusDriver(kind, host, port, unitId ?? 1, patienceMs)
		: openScpiDriver(kind, host, port, patienceMs);
}
