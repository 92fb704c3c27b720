import { CoreError, requireNotNegative, requirePositive } from '../../foundation/errors';

/** Something that drives current through a battery's terminals. Currents, powers and resistances are positive numbers. */
export type Drive =
	| {
			/** A supply with current and voltage limits: the lesser of the set current and what the set voltage drives. */
			kind: 'charge';
			currentA?: number;
			powerW?: number;
			/** Voltage limit at the supply's own terminals, V. */
			voltageV?: number;
			leadOhm: number;
	  }
	| {
			/** A two-wire electronic load: constant current, power or resistance. */
			kind: 'discharge';
			currentA?: number;
			powerW?: number;
			resistanceOhm?: number;
			leadOhm: number;
	  };

/** What flows and what the instruments see. */
export interface Flow {
	/** A into the battery. */
	currentA: number;
	/** At the battery's terminals, V. */
	voltageV: number;
	/** At the far end of the leads: the supply's and the load's own terminals, V. */
	supplyV: number;
	loadV: number;
	/** Of the current, what the supply gives (0 or more) and what the load takes (0 or more), A. */
	supplyA: number;
	loadA: number;
	/** The supply holds its voltage limit, not its current limit. */
	atVoltage: boolean;
	/** The load asks for more than the battery can give. */
	collapsed: boolean;
}

/** @throws CoreError when a drive has no limit to its current, or a number that cannot be */
export function checkDrive(drive: Drive, path: string): void {
	for (const [name, value] of Object.entries(drive))
		if (name === 'leadOhm') requireNotNegative(value as number, `${path}.leadOhm`);
		else if (name !== 'kind' && value !== undefined) requirePositive(value as number, `${path}.${name}`);
	const limits =
		drive.kind === 'charge' ? [drive.currentA, drive.powerW] : [drive.currentA, drive.powerW, drive.resistanceOhm];
	if (limits.every((l) => l === undefined))
		throw new CoreError(
			'no-current-limit',
			`${path}.currentA`,
			`A ${drive.kind} requires currentA${drive.kind === 'charge' ? ' or powerW' : ', powerW or resistanceOhm'}: without it nothing limits the current.`
		);
}

function supplyCurrent(
	drive: Drive & { kind: 'charge' },
	sourceV: number,
	ohm: number
): { amperes: number; atVoltage: boolean } {
	const whole = ohm + drive.leadOhm;
	let amperes = drive.currentA ?? Infinity;
	if (drive.powerW !== undefined) {
		const byPower =
			whole > 0
				? (Math.sqrt(sourceV * sourceV + 4 * whole * drive.powerW) - sourceV) / (2 * whole)
				: drive.powerW / sourceV;
		amperes = Math.min(amperes, byPower);
	}
	if (drive.voltageV === undefined) return { amperes, atVoltage: false };
	const byVoltage = Math.max(0, (drive.voltageV - sourceV) / whole);
	return byVoltage < amperes ? { amperes: byVoltage, atVoltage: true } : { amperes, atVoltage: false };
}

function loadCurrent(
	drive: Drive & { kind: 'discharge' },
	sourceV: number,
	ohm: number
): { amperes: number; collapsed: boolean } {
	if (sourceV <= 0) return { amperes: 0, collapsed: true };
	const whole = ohm + drive.leadOhm;
	const most = sourceV / whole;
	if (drive.currentA !== undefined)
		return drive.currentA < most ? { amperes: drive.currentA, collapsed: false } : { amperes: most, collapsed: true };
	if (drive.powerW !== undefined) {
		const left = sourceV * sourceV - 4 * whole * drive.powerW;
		if (left < 0) return { amperes: most / 2, collapsed: true };
		return { amperes: (sourceV - Math.sqrt(left)) / (2 * whole), collapsed: false };
	}
	return { amperes: sourceV / (whole + drive.resistanceOhm!), collapsed: false };
}

/**
 * Current through a battery seen as `sourceV` behind `ohm`, with at most one supply and one load on it. The load is solved
 * first; the supply then meets the voltage the load leaves.
 */
export function drawnCurrent(drives: readonly Drive[], sourceV: number, ohm: number): Flow {
	let [supplyA, loadA, supplyLead, loadLead] = [0, 0, 0, 0];
	let atVoltage = false;
	let collapsed = false;
	for (const drive of drives)
		if (drive.kind === 'discharge') {
			({ amperes: loadA, collapsed } = loadCurrent(drive, sourceV, ohm));
			loadLead = drive.leadOhm;
		}
	for (const drive of drives)
		if (drive.kind === 'charge') {
			({ amperes: supplyA, atVoltage } = supplyCurrent(drive, sourceV - loadA * ohm, ohm));
			supplyLead = drive.leadOhm;
		}
	const currentA = supplyA - loadA;
	const voltageV = sourceV + currentA * ohm;
	return {
		currentA,
		voltageV,
		supplyV: voltageV + supplyA * supplyLead,
		loadV: voltageV - loadA * loadLead,
		supplyA,
		loadA,
		atVoltage,
		collapsed
	};
}
