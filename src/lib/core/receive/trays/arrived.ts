import {
	arrivedWith,
	CRATE_REST_S,
	readingSd,
	type RestRead,
	type BankPicture,
	type PictureCell,
	type PictureReading
} from '../../picture';
import type { ArrivedCell } from '../arrival';
import { whatWasRead } from '../../foundation/snapshot';

interface RestVoltages {
	/** Of each cell, V; null where none was read. */
	voltsV: (number | null)[];
	/** One standard deviation of each, V. */
	sdsV: (number | null)[];
	/** The shortest rest of them, s. */
	restS: number;
	/** They were read along a string from its end, and the cells are the differences. */
	alongString: boolean;
}

/** Rest voltages as those of single cells, one a cell. */
function restVoltages(readings: readonly (PictureReading | null)[], { bank, meters }: BankPicture): RestVoltages {
	const read = readings.map((r) => r?.value ?? null);
	const own = readings.map((r) => r && readingSd(r, meters.restVoltage));
	const restS = Math.min(CRATE_REST_S, ...readings.map((r) => r?.restS ?? CRATE_REST_S));
	const seenAs = whatWasRead(read, bank.chemistry);
	if (seenAs.kind !== 'cumulative' || read.includes(null))
		return { voltsV: read, sdsV: own, restS, alongString: false };
	// A difference holds the doubt of two readings; the first of all is one.
	const sdsV = own.map((sd, i) => Math.hypot(sd ?? 0, i === 0 ? 0 : (own[i - 1] ?? 0)));
	return { voltsV: seenAs.differencesV, sdsV, restS, alongString: true };
}

export interface Arrived {
	cells: ArrivedCell[];
	/** The shortest rest before their latest voltages, and before those they came with, s. */
	restS: number;
	arrivalRestS: number;
	/** The voltages of the cells where they were read along a string, V; null: each was read by itself. */
	differencesV: number[] | null;
	/** Rest voltage per cell id with nothing done to the cell before, signs as a cell has them. */
	restByCell: ReadonlyMap<number, RestRead>;
}

/** What was read of the cells of a tray: as they are, and as they came. */
export function arrivedCells(picture: BankPicture, cells: readonly PictureCell[]): Arrived {
	const latest = restVoltages(
		cells.map((c) => c.readings.restVoltage ?? null),
		picture
	);
	const came = restVoltages(
		cells.map((c) => c.arrivalRead),
		picture
	);
	const arrived = cells.map(({ id, label, plusTurned, touches, readings }, i): ArrivedCell => {
		const resistance = readings.acResistance;
		const workedBack = arrivedWith(picture, cells[i]!);
		const [arrivalV, arrivalSdV] = [came.voltsV[i]!, came.sdsV[i]!];
		return {
			id,
			label,
			plusTurned,
			touched: touches.length > 0,
			restVoltageV: latest.voltsV[i]!,
			restVoltageSdV: latest.sdsV[i]!,
			arrival: arrivalV === null || arrivalSdV === null ? null : { restVoltageV: arrivalV, restVoltageSdV: arrivalSdV },
			...(workedBack ? { workedBack } : {}),
			acResistanceMohm: resistance?.value ?? null,
			acResistanceSdMohm: resistance ? readingSd(resistance, picture.meters.acResistance) : null,
			temperatureC: readings.temperature?.value ?? null,
			probe: resistance?.probe ?? null
		};
	});
	return {
		cells: arrived,
		restS: latest.restS,
		arrivalRestS: came.restS,
		differencesV: latest.alongString ? (latest.voltsV as number[]) : null,
		restByCell: new Map(
			arrived.flatMap(({ id, arrival }): [number, RestRead][] =>
				arrival
					? [[id, { voltageV: Math.abs(arrival.restVoltageV), sdV: arrival.restVoltageSdV, restS: came.restS }]]
					: []
			)
		)
	};
}
