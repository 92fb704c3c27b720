import type { Knex } from 'knex';
import { InputError } from '$lib/input/validate';
import { ServiceError } from '../../errors';
import { batteries } from '../batteries/row';
import { groups } from '../groups/row';
import { defineKind, type Fields } from '../kind';
import { refuseMixing } from '../same-world';
import { PlacementInput } from './input';
import { placements, type Placement } from './row';

type Where = Pick<PlacementInput, 'groupId' | 'bankId' | 'battery' | 'position'>;

/** The group that was named, either way. @throws InputError by path */
async function groupOf(where: Where, tx: Knex): Promise<number> {
	if (where.groupId) return where.groupId;
	const need = (name: 'bankId' | 'battery' | 'position') => {
		const value = where[name];
		if (value === undefined || value === null)
			throw new InputError([{ path: name, message: `groupId, or bankId, battery and position, are required` }]);
		return value;
	};
	const [bankId, number, position] = [need('bankId'), need('battery'), need('position')];
	const [battery] = await batteries.all({ bankId, number }, tx);
	if (!battery) throw new InputError([{ path: 'battery', message: `this bank has no battery ${number}` }]);
	const [group] = await groups.all({ batteryId: battery.id, position }, tx);
	if (!group)
		throw new InputError([
			{ path: 'position', message: `battery ${number} has ${battery.series} groups, there is no group ${position}` }
		]);
	return group.id;
}

const ELSEWHERE = (place: Placement) =>
	new ServiceError(
		409,
		'already-placed',
		`This cell is already in battery ${place.battery}, group ${place.position}. Take it out there first.`
	);

/** A cell is in one place at a time, a group holds no more than it has places, simulated and real cells stay apart. */
async function checkPlacement(placement: Placement, tx: Knex, before: Placement | null): Promise<void> {
	if (placement.removedAt !== null && placement.removedAt < placement.placedAt)
		throw new InputError([{ path: 'removedAt', message: 'removedAt is before placedAt' }]);
	await refuseMixing(placement.cellId, placement.bankId, tx);
	if (placement.removedAt !== null) return;
	const group = await groups.find(placement.groupId, tx);
	if (!group || group.deletedAt !== null)
		throw new InputError([{ path: 'groupId', message: 'this group is no longer part of the layout' }]);
	const battery = await batteries.hold(group.batteryId, tx, 'update');
	if (battery.kind !== 'built')
		throw new InputError([
			{ path: 'groupId', message: `battery ${battery.number} is ready-made: nobody puts cells into it` }
		]);
	const others = (await placements.all({ groupId: placement.groupId, removedAt: null }, tx)).filter(
		(p) => p.id !== placement.id
	);
	const stays = before !== null && before.groupId === placement.groupId && before.removedAt === null;
	if (others.length >= battery.parallel && !stays)
		throw new ServiceError(
			409,
			'group-full',
			`Group ${placement.position} of battery ${placement.battery} has its ${battery.parallel} ${battery.parallel === 1 ? 'cell' : 'cells'}. Take one out first.`
		);
}

export const placementKind = defineKind<Placement>({
	name: 'placements',
	repository: placements,
	createInput: PlacementInput,
	changeInput: PlacementInput,
	parents: { cellId: 'cells', groupId: 'groups', bankId: 'banks' },
	filters: ['bankId', 'cellId', 'battery', 'groupId'],
	columns: ['id', 'cellId', 'battery', 'position', 'placedAt', 'removedAt'],
	archivedWith: 'groupId',
	leftOut: ['bankId', 'batteryId', 'battery', 'position'],
	async prepare({ cellId, placedAt, removedAt, ...where }: PlacementInput, tx) {
		if (!removedAt) {
			const [open] = await placements.all({ cellId, removedAt: null }, tx);
			if (open) throw ELSEWHERE(open);
		}
		return { cellId, groupId: await groupOf(where, tx), placedAt: placedAt ?? new Date().toISOString(), removedAt };
	},
	async derive(changes, current, tx): Promise<Fields> {
		const { bankId, battery, position } = changes as Where;
		const moved = bankId !== undefined || battery !== undefined || position !== undefined;
		const cellId = (changes.cellId as number | undefined) ?? current.cellId;
		const stays = changes.removedAt === undefined ? current.removedAt === null : changes.removedAt === null;
		if (stays) {
			const open = (await placements.all({ cellId, removedAt: null }, tx)).find((p) => p.id !== current.id);
			if (open) throw ELSEWHERE(open);
		}
		return {
			bankId: undefined,
			battery: undefined,
			position: undefined,
			...(moved && !changes.groupId
				? { groupId: await groupOf({ ...current, groupId: undefined, ...changes }, tx) }
				: {})
		};
	},
	check: checkPlacement,
	banksOf: async ({ bankId }) => [bankId]
});
