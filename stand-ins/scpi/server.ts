import { createServer, type Server, type Socket } from 'node:net';
import { spoiledAnswer, type FaultSwitch } from '../faults';
import type { ScpiInstrument } from './instrument';

const LONGEST_LINE = 1 << 20;

/**
 * Serves an instrument on raw TCP: one line in, one line out, in order.
 * @param latencyMs time the instrument takes for each answer
 */
export function serveScpi(
	instrument: ScpiInstrument,
	faults: FaultSwitch,
	latencyMs: number,
	host: string,
	port: number,
	heard: () => void = () => undefined
): Promise<Server> {
	const server = createServer((socket) => {
		let buffered = '';
		let turn = Promise.resolve();
		socket.setEncoding('utf8');
		socket.setNoDelay(true);
		socket.on('error', () => socket.destroy());
		socket.on('data', (text: string) => {
			buffered += text;
			const lines = buffered.split('\n');
			buffered = lines.pop()!;
			if (buffered.length > LONGEST_LINE) {
				buffered = '';
				instrument.raise(-363, 'Input buffer overrun');
			}
			for (const line of lines) turn = turn.then(() => answer(socket, line.replace(/\r$/, '')));
		});
	});
	async function answer(socket: Socket, line: string): Promise<void> {
		heard();
		const text = instrument.handle(line);
		if (text === null) return;
		if (latencyMs > 0) await new Promise((done) => setTimeout(done, latencyMs));
		const fault = faults.take();
		if (fault === 'reset') return void socket.resetAndDestroy();
		const whole = Buffer.from(`${text}\n`);
		// A unit id is a Modbus matter; here that fault leaves the answer alone.
		const sent = fault === null || fault === 'unit' ? whole : spoiledAnswer(whole, fault);
		if (sent && socket.writable) socket.write(sent);
	}
	return new Promise((done, failed) => {
		server.once('error', failed);
		server.listen(port, host, () => done(server));
	});
}
