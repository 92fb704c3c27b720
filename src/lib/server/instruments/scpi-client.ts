import { connect, type Socket } from 'node:net';
import { oneAtATime } from '../one-at-a-time';
import { InstrumentError } from './instrument-error';

/** A SCPI instrument on raw TCP: one line out, one line in, one at a time. */
export interface ScpiClient {
	/** Sends a line that asks and gives its answer. */
	ask(line: string): Promise<string>;
	/** Asks something the instrument may not know: gives null when its error queue says so. */
	askIfKnown(query: string): Promise<string | null>;
	/** Sends commands and makes sure the instrument took them: its error queue is read after. */
	tell(line: string): Promise<void>;
	close(): void;
}

const LONGEST_ANSWER = 4 << 20;
const PRINTABLE = /^[^\p{Cc}\ufffd]*$/u;
const ERROR_ENTRY = /^([+-]?\d+),"([\s\S]*)"$/;

/** A JSON value as a quoted SCPI string. */
export const quotedJson = (value: unknown): string => `'${JSON.stringify(value).replaceAll("'", "''")}'`;

/**
 * Connects. After an answer that is late, cut short or not text the connection is closed: what came next could not be told
 * from the late answer.
 * @throws InstrumentError
 */
export async function openScpi(host: string, port: number, patienceMs: number): Promise<ScpiClient> {
	const socket = await connected(host, port, patienceMs);
	let buffered = '';
	let waiting: { done: (line: string) => void; failed: (error: Error) => void } | null = null;
	const inTurn = oneAtATime();

	const end = (error: InstrumentError) => {
		waiting?.failed(error);
		waiting = null;
		socket.destroy();
	};
	socket.setEncoding('utf8');
	socket.setNoDelay(true);
	socket.on('error', (error) => end(new InstrumentError('away', `The connection broke: ${error.message}.`)));
	socket.on('close', () => end(new InstrumentError('away', 'The instrument closed the connection.')));
	socket.on('data', (text: string) => {
		buffered += text;
		if (buffered.length > LONGEST_ANSWER)
			end(new InstrumentError('nonsense', 'The instrument sent far more than it was asked.'));
		takeLine();
	});
	function takeLine(): void {
		const at = buffered.indexOf('\n');
		if (at < 0 || !waiting) return;
		const line = buffered.slice(0, at).replace(/\r$/, '');
		buffered = buffered.slice(at + 1);
		const { done } = waiting;
		done(line);
		waiting = null;
	}

	/** Sends a line, or nothing, and waits for the next line back. */
	function exchange(line: string | null): Promise<string> {
		if (socket.destroyed) return Promise.reject(new InstrumentError('away', 'The instrument is not connected.'));
		return new Promise((done, failed) => {
			const timer = setTimeout(
				() => end(new InstrumentError('silent', `The instrument did not answer within ${patienceMs} ms.`)),
				patienceMs
			);
			waiting = {
				done(answer) {
					if (!PRINTABLE.test(answer))
						return end(new InstrumentError('nonsense', 'The instrument’s answer is not text.'));
					clearTimeout(timer);
					done(answer);
				},
				failed(error) {
					clearTimeout(timer);
					failed(error);
				}
			};
			if (line !== null) socket.write(`${line}\n`);
			takeLine();
		});
	}
	return {
		ask: (line) => inTurn(() => exchange(line)),
		askIfKnown: (query) =>
			inTurn(async () => {
				// An unknown query is not answered at all: then the first line back is already that of the error queue.
				const first = await exchange(`*CLS\n${query}\nSYST:ERR?`);
				if (ERROR_ENTRY.test(first)) return null;
				await exchange(null);
				return first;
			}),
		tell: (line) =>
			inTurn(async () => {
				socket.write(`*CLS\n${line}\n`);
				const match = ERROR_ENTRY.exec(await exchange('SYST:ERR?'));
				if (!match) throw new InstrumentError('nonsense', 'The instrument’s error queue could not be read.');
				// After the number and the standard's own words comes what this instrument says of it.
				if (Number(match[1]) !== 0) throw new InstrumentError('refused', match[2]!.replace(/^[^;]*;/, ''));
			}),
		close: () => socket.destroy()
	};
}

function connected(host: string, port: number, patienceMs: number): Promise<Socket> {
	return new Promise((done, failed) => {
		const socket = connect({ host, port });
		const fail = (why: string) => {
			socket.destroy();
			failed(new InstrumentError('away', `Nothing answers at ${host}:${port} (${why}). Is it on and plugged in?`));
		};
		const timer = setTimeout(() => fail('no answer'), patienceMs);
		socket.once('error', (error: NodeJS.ErrnoException) => {
			clearTimeout(timer);
			fail(error.code ?? error.message);
		});
		socket.once('connect', () => {
			clearTimeout(timer);
			socket.removeAllListeners('error');
			done(socket);
		});
	});
}
