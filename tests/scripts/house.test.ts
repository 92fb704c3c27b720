import { readdirSync } from 'node:fs';
import { expect, it } from 'vitest';
import { houseMap } from '../../scripts/steps/house-map.mjs';
import { ROOMS, SERVER_ROOMS } from '../../scripts/steps/rooms.cjs';

const folders = (path: string) =>
	readdirSync(path, { withFileTypes: true })
		.filter((entry) => entry.isDirectory())
		.map((entry) => entry.name)
		.sort();
/** Rooms of the server that stand beside the line of order, each with a rule of its own. */
const BESIDE = ['formats', 'http', 'instruments', 'openapi', 'threads'];

it('every folder of core and of the server has its place in a line of order', () => {
	expect([...ROOMS].sort()).toEqual(folders('src/lib/core'));
	const named = new Set([...SERVER_ROOMS.map((room) => room.split('/')[0]!), ...BESIDE]);
	expect([...named].sort()).toEqual(folders('src/lib/server'));
});

it('the picture draws every room once, and arrows that are there', () => {
	const drawn = houseMap();
	for (const room of ROOMS) expect(drawn.match(new RegExp(`>${room}</text>`, 'g'))).toHaveLength(1);
	expect(drawn).toMatch(/serve imports \d+ times from foundation/);
	expect(drawn).not.toMatch(/foundation imports \d+ times/);
	expect(drawn).not.toMatch(/db imports \d+ times/);
});
