/** Which way the arrows run: routes → services → repositories and core; components → core and workers; core → core. */
const rule = (name, from, to, comment) => ({
	name,
	severity: 'error',
	comment,
	from: { path: from },
	to: { path: to }
});

/** Rooms of core in their one line of order: each imports only from those before it. */
const ROOMS = [
	'foundation',
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
	'stages'
];
const ROOM_RULES = ROOMS.slice(0, -1).map((room, at) =>
	rule(
		`${room}-in-order`,
		`^src/lib/core/${room}/(?!.*\\.test\\.ts$)`,
		`^src/lib/core/(${ROOMS.slice(at + 1).join('|')})/`,
		'A room of core imports only from the rooms before it.'
	)
);

module.exports = {
	forbidden: [
		...ROOM_RULES,
		{ name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
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
			from: { path: '^src/lib/core/(stages|[^/]+/[^/]+)/' },
			to: { path: '^src/lib/core/(stages|[^/]+/[^/]+)/(?!index\\.ts)', pathNot: '^src/lib/core/$1/' }
		},
		{
			name: 'core-through-index-outside',
			severity: 'error',
			from: { path: '^(src/(?!lib/core/)|demo/|bench/|truth/|stand-ins/)' },
			to: { path: '^src/lib/core/(stages|[^/]+/[^/]+)/(?!index\\.ts)' }
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
		rule(
			'repositories-at-the-bottom',
			'^src/lib/server/db/',
			'^src/lib/server/(?!db/|errors\\.ts|log\\.ts)',
			'The database knows nothing of what is kept in it.'
		),
		rule(
			'records-on-repositories',
			'^src/lib/server/records/',
			'^src/lib/server/(?!records/|db/|errors\\.ts|log\\.ts)',
			'A kind of record knows the database and other kinds.'
		),
		rule(
			'picture-on-records',
			'^src/lib/server/(bank-picture|stages)/',
			'^src/lib/server/(?!bank-picture/|stages/|records/|db/|errors\\.ts|log\\.ts)',
			'A bank is read from its records.'
		),
		rule(
			'judgements-below-services',
			'^src/lib/server/judgements/',
			'^src/lib/server/(services|live|threads|http|openapi|formats|instruments)/',
			'Judging needs the picture and core alone.'
		),
		rule(
			'threads-apart',
			'^src/lib/server/threads/',
			'^src/lib/server/(db|records|services|live|judgements|bank-picture|http|instruments)/',
			'A thread computes; it holds no connection.'
		),
		rule(
			'instruments-apart',
			'^src/lib/server/instruments/',
			'^src/lib/server/(?!instruments/|one-at-a-time\\.ts|errors\\.ts|log\\.ts)',
			'A driver knows the wire and nothing else.'
		),
		rule(
			'services-below-http',
			'^src/lib/server/(?!http/|openapi/)',
			'^src/lib/server/(http|openapi)/|^src/routes/',
			'Routes call services.'
		),
		rule(
			'routes-call-services',
			'^src/routes/',
			'^src/lib/server/(db|records|bank-picture|stages|formats|instruments)/',
			'A route takes the request apart and hands it to a service.'
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
