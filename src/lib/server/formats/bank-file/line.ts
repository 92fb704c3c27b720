import { InputError } from '$lib/input/validate';

/** Version of the file; raised when its shape changes. 1 was one JSON object, 2 is a line a record. */
export const FORMAT_VERSION = 2;
export const FORMAT_NAME = 'kind-ember-bank';

/** A record as it stands in a file. Ids are only references within the file. */
export type Plain = Record<string, unknown>;

/** What a line of a bank's file holds. The first names the format, the last counts what came before. */
export type FileLine =
	| { format: typeof FORMAT_NAME; formatVersion: number; exportedAt: string }
	| { kind: string; record: Plain }
	| { kind: 'run-samples'; runId: number; timeS: number[]; voltageV: number[]; currentA: number[] }
	| { kind: 'live-samples'; liveRunId: number; samples: Plain[] }
	| { kind: 'file'; hash: string; mime: string; bytes: number; width: number | null; height: number | null }
	| { kind: 'file-chunk'; hash: string; n: number; base64: string }
	| { kind: 'end'; lines: number };

/** @throws InputError unless it is the first line of a bank's file of this version */
export function checkHeader(header: unknown): void {
	const { format, formatVersion } = (header ?? {}) as Plain;
	if (format !== FORMAT_NAME)
		throw new InputError([
			{ path: 'format', message: `requires "${FORMAT_NAME}": this is not a bank exported from here` }
		]);
	if (formatVersion !== FORMAT_VERSION)
		throw new InputError([
			{
				path: 'formatVersion',
				message: `requires ${FORMAT_VERSION}${typeof formatVersion === 'number' ? `, got ${formatVersion}` : ''}`
			}
		]);
}
