import { connect, type Socket } from 'node:net';

export interface Wire {
	/** Sends a line and waits for one back. */
	ask(line: string): Promise<string>;
	send(line: string): void;
	raw: Socket;
	close(): void;
}

/** A plain socket that speaks lines, for tests of what is really on the wire. */
export async function openWire(port: number, patienceMs = 30_000): Promise<Wire> {
	const socket = connect(port, '127.0.0.1');
	await new Promise<void>((done, failed) => socket.once('connect', done).once('error', failed));
	socket.setEncoding('utf8');
	let buffered = '';
	const waiting: ((line: string) => void)[] = [];
	socket.on('error', () => undefined);
	socket.on('data', (text) => {
		buffered += text;
		for (let at = buffered.indexOf('\n'); at >= 0; at = buffered.indexOf('\n')) {
			waiting.shift()?.(buffered.slice(0, at));
			buffered = buffered.slice(at + 1);
		}
	});
	return {
		raw: socket,
		send: (line) => void socket.write(`${line}\n`),
		ask: (line) =>
			new Promise((done, failed) => {
				const timer = setTimeout(() => failed(new Error(`no answer to ${line}`)), patienceMs);
				waiting.push((answer) => {
					clearTimeout(timer);
					done(answer);
				});
				socket.write(`${line}\n`);
			}),
		close: () => socket.destroy()
	};
}

/** A JSON value as a quoted SCPI string. */
export const quoted = (value: unknown): string => `'${JSON.stringify(value).replaceAll("'", "''")}'`;

/** A Modbus TCP request frame: transaction 1, unit, function and its data. */
export function modbusFrame(unit: number, code: number, data: readonly number[]): Buffer {
	return Buffer.from([0, 1, 0, 0, 0, 2 + data.length, unit, code, ...data]);
}

/** Sends bytes and gives the next bytes back; null when nothing comes in time. */
export function exchange(socket: Socket, bytes: Buffer, patienceMs = 30_000): Promise<Buffer | null> {
	return new Promise((done) => {
		const timer = setTimeout(() => done(null), patienceMs);
		socket.once('data', (answer) => {
			clearTimeout(timer);
			done(Buffer.from(answer));
		});
		socket.write(bytes);
	});
}
