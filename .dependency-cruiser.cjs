/** Which way the arrows run: routes → use-cases → judgements, records → database; components → core, client; core → core. */
const rule = (name, from, to, comment) => ({
	name,
	severity: 'error',
	comment,
	from: { path: from },
	to: { path: to }
});

const { ROOMS, SERVER_ROOMS } = require('./scripts/steps/rooms.cjs');

const ROOM_RULES = ROOMS.slice(0, -1).map((room, at) =>
	rule(
		`${room}-in-order`,
		`^src/lib/core/${room}/(?!.*\\.test\\.ts$)`,
		`^src/lib/core/(${ROOMS.slice(at + 1).join('|')})/`,
		'A room of core imports only from the rooms before it.'
	)
);

const SERVER_RULES = SERVER_ROOMS.slice(0, -1).map((room, at) =>
	rule(
		`server-${room.replace('/', '-')}-in-order`,
		`^src/lib/server/${room}/`,
		`^src/lib/server/((${SERVER_ROOMS.slice(at + 1, -1).join('|')})/|${SERVER_ROOMS.at(-1)})`,
		'A room of the server imports only from the rooms before it.'
	)
);

module.exports = {
	forbidden: [
		...ROOM_RULES,
		{ name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
		{ name: 'no-folder-circle', severity: 'error', scope: 'folder', from: {}, to: { circular: true } },
		{
			name: 'every-arrow-seen',
			severity: 'error',
			comment: 'An import this check cannot follow is an arrow it cannot judge.',
			from: { path: '^(src|demo|bench|truth|stand-ins)/' },
			to: { couldNotResolve: true, pathNot: '^\\$(app|env)/|^\\./\\$types|^@sveltejs/kit$|^svelte' }
		},
		{
			name: 'declared',
			severity: 'error',
			comment: 'What is imported is declared.',
			from: { path: '^(src|demo|bench|truth|stand-ins)/' },
			to: { dependencyTypes: ['npm-no-pkg', 'npm-unknown'] }
		},
		rule(
			'core-is-pure',
			'^src/lib/core/',
			'^src/(?!lib/core/)|^(node:|demo/|stand-ins/)',
			'Core computes; it knows no interface, server or Node.'
		),
		rule(
			'core-packages',
			'^src/lib/core/',
			'node_modules/(?!papaparse|d3-array|@types/d3-array|date-fns|@types/papaparse|fast-check|vitest)',
			'Core uses pure packages only.'
		),
		{
			name: 'core-through-index',
			severity: 'error',
			comment: 'A core topic is entered through its index.',
			from: { path: '^src/lib/core/(picture|bank|[^/]+/[^/]+)/' },
			to: { path: '^src/lib/core/(picture|bank|[^/]+/[^/]+)/(?!index\\.ts)', pathNot: '^src/lib/core/$1/' }
		},
		{
			name: 'core-through-index-outside',
			severity: 'error',
			from: { path: '^(src/(?!lib/core/)|demo/|bench/|truth/|stand-ins/)' },
			to: { path: '^src/lib/core/(picture|bank|[^/]+/[^/]+)/(?!index\\.ts)' }
		},
		{
			name: 'a-stage-judges-itself',
			severity: 'error',
			comment: 'What one stage makes of the picture is asked for by the bank and its own face alone.',
			from: { path: '^src/', pathNot: '^src/lib/core/bank/|/face\\.ts$|\\.test\\.ts$' },
			to: { path: '^src/lib/core/[^/]+/judge\\.ts$' }
		},
		rule(
			'components-not-server',
			'^src/lib/components/',
			'^src/lib/server/|^src/routes/',
			'Components get data from their page.'
		),
		rule(
			'client-not-server',
			'^src/lib/client/',
			'^src/lib/server/|^src/routes/|^src/lib/components/',
			'The client side talks to the API.'
		),
		rule(
			'workers-thin',
			'^src/lib/workers/',
			'^src/lib/(server|components|client|input)/|^src/routes/',
			'Workers call core.'
		),
		rule(
			'input-thin',
			'^src/lib/input/',
			'^src/lib/(server|components|client|workers)/|^src/routes/',
			'Input classes know core words only.'
		),
		...SERVER_RULES,
		rule(
			'threads-apart',
			'^src/lib/server/threads/',
			'^src/lib/server/(?!threads/|formats/|errors\\.ts|log\\.ts|db/away\\.ts)',
			'A thread computes; it holds no connection.'
		),
		rule(
			'instruments-apart',
			'^src/lib/server/instruments/',
			'^src/lib/server/(?!instruments/|one-at-a-time\\.ts|errors\\.ts|log\\.ts)',
			'A driver knows the wire and nothing else.'
		),
		rule(
			'formats-apart',
			'^src/lib/server/formats/',
			'^src/lib/server/(?!formats/|errors\\.ts|log\\.ts|db/stored-sample\\.ts)',
			'A format knows nothing of who writes it.'
		),
		rule(
			'below-http',
			'^src/lib/server/(?!http/|openapi/)',
			'^src/lib/server/(http|openapi)/|^src/routes/',
			'Use-cases know nothing of requests.'
		),
		{
			name: 'no-stage-knows-another',
			severity: 'error',
			comment: 'On the server stages meet in the bank’s picture.',
			from: { path: '^src/lib/server/stages/([^/]+)/' },
			to: { path: '^src/lib/server/stages/[^/]+/', pathNot: '^src/lib/server/stages/$1/' }
		},
		rule(
			'routes-call-use-cases',
			'^src/routes/',
			'^src/lib/server/(db|records|bank-picture|formats|instruments|stages/[^/]+/(face|hooks)\\.ts)',
			'A route takes the request apart and hands it to a use-case.'
		),
		rule(
			'routes-compute-nothing',
			'^src/routes/.*server\\.ts$',
			'^src/lib/(core|workers)/',
			'What a request computes is a service’s or a thread’s.'
		),
		rule(
			'stand-ins-use-core',
			'^stand-ins/',
			'^src/(?!lib/core/)|^demo/|^bench/',
			'The simulated bench is a process of its own: physics from core, everything else over the wire.'
		),
		rule(
			'nothing-imports-stand-ins',
			'^(src|demo|bench)/',
			'^stand-ins/',
			'The application knows the wire, not the bench behind it.'
		),
		rule('nothing-imports-routes', '^src/lib/|^demo/', '^src/routes/', 'Nothing imports routes.')
	],
	options: {
		tsConfig: { fileName: 'tsconfig.json' },
		webpackConfig: { fileName: '.dependency-cruiser.resolve.cjs' },
		doNotFollow: { path: 'node_modules' },
		exclude: { path: '\\.svelte-kit' },
		tsPreCompilationDeps: true,
		enhancedResolveOptions: {
			exportsFields: ['exports'],
			conditionNames: ['svelte', 'import', 'types', 'default'],
			extensions: ['.ts', '.js', '.svelte', '.json']
		}
	}
};
