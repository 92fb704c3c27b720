/** What a stand-in can be told to do wrong with its answers. */
export const FAULT_KINDS = ['silence', 'garbage', 'partial', 'reset', 'unit'] as const;
export type FaultKind = (typeof FAULT_KINDS)[number];

export interface Fault {
	kind: FaultKind;
	/** How many more answers it spoils. */
	answers: number;
}

/** The fault of one instrument, shared by its connections. */
export interface FaultSwitch {
	set(fault: Fault | null): void;
	/** The fault for the next answer, counted down; null when all is well. */
	take(): FaultKind | null;
}

export function createFaultSwitch(): FaultSwitch {
	let current: Fault | null = null;
	return {
		set: (fault) => (current = fault),
		take() {
			if (!current || current.answers <= 0) return null;
			current.answers--;
			return current.kind;
		}
	};
}

/** An answer as a fault leaves it; null: nothing is sent. `unit` alters the unit id of a Modbus TCP answer. */
export function spoiledAnswer(answer: Buffer, fault: FaultKind): Buffer | null {
	switch (fault) {
		case 'garbage':
			return Buffer.from(answer.map((byte, i) => (byte * 31 + 97 * i + 13) & 0xff));
		case 'partial':
			return answer.subarray(0, Math.max(1, Math.floor(answer.length / 2)));
		case 'unit': {
			const altered = Buffer.from(answer);
			if (altered.length > 6) altered[6] = (altered[6]! + 7) & 0xff;
			return altered;
		}
		default:
			return null;
	}
}
