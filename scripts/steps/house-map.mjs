// docs/house.svg: the rooms of core and server in their lines of order, drawn from the imports that are really there.
import { readFileSync, readdirSync, statSync } from 'node:fs';
import { dirname, join, normalize, relative } from 'node:path';
import { createRequire } from 'node:module';
import { root } from './machine.mjs';

const LIB = join(root, 'src', 'lib');
const { ROOMS: coreRooms, SERVER_ROOMS } = createRequire(import.meta.url)('./rooms.cjs');
/** As the folders are called. */
const serverRooms = SERVER_ROOMS.map((room) => room.replace('/[^/]+\\.ts', ''));

const sources = (folder) =>
	readdirSync(folder).flatMap((name) => {
		const path = join(folder, name);
		if (statSync(path).isDirectory()) return sources(path);
		return /\.(ts|svelte)$/.test(name) && !/\.test\.ts$|api-types\.ts$/.test(name) ? [path] : [];
	});

/** What a file imports of the library, as paths below src/lib. */
function importsOf(file, text) {
	const named = [...text.matchAll(/from '(\$lib\/[^']+|\.{1,2}(?:\/[^']*)?)'/g)].map((m) => m[1]);
	return named.map((name) =>
		name.startsWith('$lib/') ? name.slice(5) : relative(LIB, normalize(join(dirname(file), name)))
	);
}

/** The innermost of some rooms a path lies in. */
const roomOf = (path, rooms) =>
	rooms.filter((room) => path === room || path.startsWith(`${room}/`)).sort((a, b) => b.length - a.length)[0];

/** Lines of code of each room, and how many imports go from one to another. */
function counted(area, rooms) {
	const lines = new Map(rooms.map((room) => [room, 0]));
	const arrows = new Map();
	for (const file of sources(join(LIB, area))) {
		const text = readFileSync(file, 'utf8');
		const from = roomOf(relative(join(LIB, area), file), rooms);
		if (!from) continue;
		lines.set(from, lines.get(from) + text.split('\n').length);
		for (const path of importsOf(file, text)) {
			const to = path.startsWith(`${area}/`) ? roomOf(path.slice(area.length + 1), rooms) : null;
			if (to && to !== from) arrows.set(`${from} ${to}`, (arrows.get(`${from} ${to}`) ?? 0) + 1);
		}
	}
	return { lines, arrows: [...arrows].map(([key, count]) => [...key.split(' '), count]) };
}

const ROW = 34;
const LEFT = 190;
const escaped = (text) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');

/** One line of order, from the top down; arcs lead from a room to those it imports from, thicker where there are more. */
function column(title, area, rooms, x) {
	const { lines, arrows } = counted(area, rooms);
	const y = (room) => 70 + rooms.indexOf(room) * ROW;
	const arcs = arrows.map(([from, to, count]) => {
		const [a, b] = [y(from), y(to)];
		const r = Math.abs(a - b) / 2;
		const wide = Math.min(7, 0.6 + Math.sqrt(count) / 2.2).toFixed(1);
		return `<path d="M ${x + LEFT} ${a} A ${r} ${r} 0 0 ${a > b ? 0 : 1} ${x + LEFT} ${b}" stroke-width="${wide}"><title>${from} imports ${count} times from ${to}</title></path>`;
	});
	const names = rooms.map(
		(room) =>
			`<text x="${x + LEFT - 12}" y="${y(room) + 5}" text-anchor="end">${escaped(room)}</text><circle cx="${x + LEFT}" cy="${y(room)}" r="${(2 + Math.sqrt(lines.get(room)) / 12).toFixed(1)}"><title>${lines.get(room)} lines</title></circle>`
	);
	return `<text class="title" x="${x + 20}" y="36">${escaped(title)}</text><g class="arcs">${arcs.join('')}</g>${names.join('')}`;
}

/** The picture as text. */
export function houseMap() {
	const height = 70 + Math.max(coreRooms.length, serverRooms.length) * ROW;
	return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 960 ${height}" role="img" aria-label="Rooms of core and server, each importing only from those above it">
<style>
svg { background: #fbf8f3; font: 15px 'Atkinson Hyperlegible Mono', monospace; }
text { fill: #2b2520; } .title { font-weight: 700; font-size: 18px; }
circle { fill: #b4531a; } .arcs path { fill: none; stroke: #8a7f74; stroke-opacity: 0.45; }
</style>
${column('src/lib/core: from foundation to bank', 'core', coreRooms, 0)}
${column('src/lib/server: from the database to Home', 'server', serverRooms, 480)}
</svg>
`;
}
