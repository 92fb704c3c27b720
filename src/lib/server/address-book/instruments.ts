import { lookup } from 'node:dns/promises';
import { INSTRUMENT_KINDS, INSTRUMENT_SHEETS, type InstrumentKind } from '$lib/core/foundation/reading';
import { instruments, type Instrument } from '../records';
import { checkAddress, isLoopback, refuseNever } from '../records/instruments/address';
import { ServiceError } from '../errors';
import { oneAtATime } from '../one-at-a-time';
import { benchHands, type BenchInstrument, type Hands } from '../instruments/hands';
import { InstrumentError } from '../instruments/instrument-error';
import { createLink, type Link, type LinkStatus } from '../instruments/link';
import { openDriver, type InstrumentAddress } from '../instruments/open-driver';
import type { Identity, InstrumentReading } from '../instruments/driver';

/** Where the bundled bench's hands listen, from `KIND_EMBER_BENCH` (host:port); null when it was not started. */
function benchAddress(): { host: string; port: number } | null {
	const [host, port] = (process.env.KIND_EMBER_BENCH ?? '').split(':');
	return host && Number(port) > 0 ? { host, port: Number(port) } : null;
}

/** The hands of the bundled bench. @throws ServiceError 409 when there is none */
export function bundledHands(): Hands {
	const address = benchAddress();
	if (!address)
		throw new ServiceError(
			409,
			'no-bench',
			'The simulated bench is not running. "npm run demo" and "npm start" bring it up with the application.'
		);
	return benchHands(address.host, address.port);
}

export const hasBundledBench = (): boolean => benchAddress() !== null;

const links = new Map<number, { key: string; link: Link }>();

/** The address behind a name, looked up anew each time and held to the same rules as one that was typed. */
async function addressBehind(instrument: Instrument): Promise<string> {
	checkAddress(instrument);
	const name = instrument.host.replace(/^\[|\]$/g, '');
	const { address } = await lookup(name).catch(() => {
		throw new InstrumentError('away', `Nobody knows the name ${instrument.host} here. Is it spelled right?`);
	});
	refuseNever(address);
	if (!isLoopback(address)) checkAddress({ host: address, outsideNamed: instrument.outsideNamed });
	return address;
}

/**
 * By what an instrument is known whoever names it: the address behind its name, port and unit, and the serial number it gives.
 * Two entries of the address book with one of them in common are one instrument.
 */
export async function instrumentKeys(instrument: Instrument): Promise<string[]> {
	const { host, port, unitId } = await addressOf(instrument);
	const identity = await linkTo(instrument)
		.useNow((driver) => driver.identify())
		.catch(() => null);
	const [maker, model, serial] = identity?.text.split(',') ?? [];
	const numbered = serial && /[1-9A-Za-z]/.test(serial) ? [`${maker},${model},${serial}`] : [];
	return [`${host} ${port} ${unitId ?? 1}`, ...numbered];
}

async function addressOf(instrument: Instrument): Promise<InstrumentAddress> {
	const { kind, port, unitId, bundled } = instrument;
	if (!bundled) return { kind, host: await addressBehind(instrument), port, unitId };
	const address = benchAddress();
	if (!address) throw new InstrumentError('away', 'The simulated bench is not running.');
	const found = (await bundledHands().instruments()).find((i: BenchInstrument) => i.name === kind);
	if (!found) throw new InstrumentError('away', `The simulated bench has no ${kind}.`);
	return { kind, host: address.host, port: found.port, unitId: found.unitId };
}

/** The lasting line to an instrument; made anew when its address was changed. */
export function linkTo(instrument: Instrument): Link {
	const key = [instrument.host, instrument.port, instrument.unitId, instrument.kind, instrument.bundled].join('|');
	const known = links.get(instrument.id);
	if (known?.key === key) return known.link;
	known?.link.close();
	const link = createLink(async () => openDriver(await addressOf(instrument)), Date.now);
	links.set(instrument.id, { key, link });
	return link;
}

export interface InstrumentView {
	instrument: Instrument;
	status: LinkStatus;
}

/** The address book with what is known of each line. */
export async function listInstruments(): Promise<InstrumentView[]> {
	return (await instruments.all({})).map((instrument) => ({ instrument, status: linkTo(instrument).status() }));
}

/** Connects, identifies and takes one reading, now. @throws ServiceError 409 with what the instrument's line says */
export async function tryInstrument(
	id: number
): Promise<{ identity: Identity; reading: InstrumentReading | null; trouble: string | null }> {
	const link = linkTo(await instruments.get(id));
	try {
		const identity = await link.useNow((driver) => driver.identify());
		const reading = await link.useNow((driver) => driver.read()).catch((error: InstrumentError) => error);
		return reading instanceof Error
			? { identity, reading: null, trouble: reading.message }
			: { identity, reading, trouble: null };
	} catch (error) {
		throw asServiceError(error);
	}
}

/** What an instrument's line says, as a refusal a person can act on. */
export function asServiceError(error: unknown): unknown {
	return error instanceof InstrumentError ? new ServiceError(409, `instrument-${error.fault}`, error.message) : error;
}

const inTurn = oneAtATime();

/** The six instruments of the bundled bench in the address book, entered when they are not there yet: once, whoever asks first. */
export const bundledInstruments = (): Promise<Record<InstrumentKind, Instrument>> => inTurn(enterBundled);

async function enterBundled(): Promise<Record<InstrumentKind, Instrument>> {
	const known = (await instruments.all({})).filter((i) => i.bundled);
	const entries = await Promise.all(
		INSTRUMENT_KINDS.filter((kind) => INSTRUMENT_SHEETS[kind].bench !== null).map(async (kind) => {
			const { name, bench } = INSTRUMENT_SHEETS[kind];
			const fresh = {
				name: `${name} (simulated)`,
				kind,
				host: '127.0.0.1',
				port: 1,
				unitId: null,
				bundled: true,
				outsideNamed: false,
				accuracyPercent: bench!.percent,
				accuracyFixed: bench!.fixed
			};
			return [kind, known.find((i) => i.kind === kind) ?? (await instruments.insert(fresh))] as const;
		})
	);
	return Object.fromEntries(entries) as Record<InstrumentKind, Instrument>;
}

/** Instruments as a page offers them for choosing. */
export async function instrumentChoices() {
	if (hasBundledBench()) await bundledInstruments();
	return (await listInstruments()).map(({ instrument, status }) => ({
		id: instrument.id,
		name: instrument.name,
		kind: instrument.kind,
		bundled: instrument.bundled,
		connected: status.connected,
		trouble: status.trouble?.message ?? null
	}));
}

export interface AddressBook {
	entries: InstrumentView[];
	/** The simulated bench runs beside the application. */
	bench: boolean;
}

/** The address book; the simulated bench's instruments are in it from the start. */
export async function addressBook(): Promise<AddressBook> {
	const bench = hasBundledBench();
	if (bench) await bundledInstruments();
	return { entries: await listInstruments(), bench };
}
