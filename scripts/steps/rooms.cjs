// The two lines of order of the house: the layer check holds them, and docs/house.svg draws them.

/** Rooms of core in their one line of order: each imports only from those before it. */
const ROOMS = [
	'foundation',
	'picture',
	'world',
	'test',
	'build',
	'receive',
	'match',
	'balance',
	'limits',
	'prove',
	'plan',
	'serve',
	'bank'
];
/** Rooms of the server in their one line of order. */
const SERVER_ROOMS = [
	'db',
	'records',
	'attachments',
	'bank-picture',
	'judgements',
	'address-book',
	'rehearsals/bench',
	'settings',
	'stock',
	'stages',
	'live',
	'measuring',
	'passport',
	'exchange',
	'collections',
	'home',
	'rehearsals/[^/]+\\.ts'
];
module.exports = { ROOMS, SERVER_ROOMS };
