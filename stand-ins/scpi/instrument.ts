import { CoreError } from '$lib/core/foundation/errors';
import { ScpiError, headerExpression, numberOf, parseMessage } from './syntax';

/** What a command does; a query gives back its answer. */
export type Command = (parameters: string[]) => string | number | void;

/** Commands by their header pattern, e.g. `'MEASure:VOLTage[:DC]?'`. */
export type Commands = Record<string, Command>;

export interface ScpiInstrument {
	/** Takes one line and gives the line to answer, or null. */
	handle(line: string): string | null;
	/** Puts an error into the queue. */
	raise(code: number, message: string): void;
}

const QUEUE_LENGTH = 20;
const EVENT = { operationComplete: 1, query: 4, device: 8, execution: 16, command: 32, powerOn: 128 };
const STATUS = { errorQueue: 4, messageAvailable: 16, event: 32, service: 64 };
const UNDEFINED_HEADER = new ScpiError(-113, 'Undefined header');

const eventOf = (code: number): number => {
	if (code <= -400) return EVENT.query;
	if (code <= -300) return EVENT.device;
	return code <= -200 ? EVENT.execution : EVENT.command;
};

/**
 * An instrument after IEEE 488.2 with the SCPI error queue. Several queries of one line are answered in one line, separated by `;`.
 * @param parameters allowed for a command are checked here only where it takes none
 */
export function createScpiInstrument(identity: string, commands: Commands, reset: () => void): ScpiInstrument {
	const errors: [number, string][] = [];
	let event = EVENT.powerOn;
	let eventEnable = 0;
	let serviceEnable = 0;

	function raise(code: number, message: string): void {
		event |= eventOf(code);
		if (errors.length < QUEUE_LENGTH) errors.push([code, message]);
		else errors[QUEUE_LENGTH - 1] = [-350, 'Queue overflow'];
	}
	const readEvent = () => {
		const value = event;
		event = 0;
		return value;
	};
	function statusByte(): number {
		let byte = errors.length ? STATUS.errorQueue : 0;
		if (event & eventEnable) byte |= STATUS.event;
		return byte & serviceEnable ? byte | STATUS.service : byte;
	}
	const nextError = () => {
		const [code, message] = errors.shift() ?? [0, 'No error'];
		return `${code},"${message.replaceAll('"', "'")}"`;
	};
	const common: Commands = {
		'*IDN?': () => identity,
		'*RST': () => reset(),
		'*TST?': () => 0,
		'*CLS': () => {
			errors.length = 0;
			event = 0;
		},
		'*ESR?': readEvent,
		'*ESE': ([value]) => void (eventEnable = Math.round(numberOf(value, '', 0, 255))),
		'*ESE?': () => eventEnable,
		'*SRE': ([value]) => void (serviceEnable = Math.round(numberOf(value, '', 0, 255)) & ~STATUS.service),
		'*SRE?': () => serviceEnable,
		'*STB?': statusByte,
		'*OPC': () => void (event |= EVENT.operationComplete),
		'*OPC?': () => 1,
		'*WAI': () => undefined,
		'SYSTem:ERRor[:NEXT]?': nextError,
		'SYSTem:ERRor:COUNt?': () => errors.length,
		'SYSTem:VERSion?': () => '1999.0'
	};
	const table = Object.entries({ ...common, ...commands }).map(([pattern, run]) => ({
		expression: headerExpression(pattern),
		run
	}));
	const find = (header: string) => table.find(({ expression }) => expression.test(header));

	/** A header without a leading colon first means the level the one before it stood on. */
	function resolveHeader(header: string, level: string): { run: Command; level: string } {
		if (header.startsWith('*')) {
			const found = find(header);
			if (!found) throw UNDEFINED_HEADER;
			return { run: found.run, level };
		}
		const candidates = header.startsWith(':') ? [header.slice(1)] : [level + header, ...(level ? [] : [header])];
		for (const full of candidates) {
			const found = find(full);
			if (found) return { run: found.run, level: full.slice(0, full.lastIndexOf(':') + 1) };
		}
		throw UNDEFINED_HEADER;
	}

	return {
		raise,
		handle(line) {
			const answers: string[] = [];
			let level = '';
			try {
				for (const { header, parameters } of parseMessage(line)) {
					const found = resolveHeader(header, level);
					level = found.level;
					if (header.endsWith('?') && parameters.length) throw new ScpiError(-108, 'Parameter not allowed');
					const answer = found.run(parameters);
					if (answer !== undefined) answers.push(String(answer));
				}
			} catch (error) {
				if (error instanceof ScpiError) raise(error.code, error.message);
				else if (error instanceof CoreError) raise(-221, `Settings conflict;${error.message}`);
				else throw error;
			}
			return answers.length ? answers.join(';') : null;
		}
	};
}
