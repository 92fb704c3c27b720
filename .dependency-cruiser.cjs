/** Which way the arrows run: routes → services → repositories and core; components → core and workers; core → core. */
const rule = (name, from, to, comment) => ({
	name,
	severity: 'error',
	comment,
	from: { path: from },
	to: { path: to }
});

module.exports = {
	forbidden: [
		{ name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
		rule(
			'core-is-pure',
			'^src/lib/core/',
			'^src/(?!lib/core/)|^(node:|demo/|stand-ins/)',
			'Core computes; it knows no interface, server or Node.'
		),
		rule(
			'core-packages',
			'^src/lib/core/',
			'node_modules/(?!papaparse|date-fns|@types/papaparse|fast-check|vitest)',
			'Core uses pure packages only.'
		),
		{
			name: 'core-through-index',
			severity: 'error',
			comment: 'A core topic is entered through its index.',
			from: { path: '^src/lib/core/([^/]+)/' },
			to: { path: '^src/lib/core/([^/]+)/(?!index\\.ts)', pathNot: '^src/lib/core/$1/' }
		},
		{
			name: 'core-through-index-outside',
			severity: 'error',
			from: { path: '^(src/(?!lib/core/)|demo/|bench/|stand-ins/)' },
			to: { path: '^src/lib/core/[^/]+/(?!index\\.ts)' }
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
			'repositories-below-services',
			'^src/lib/server/db/',
			'^src/lib/server/(services|http|formats)/|^src/routes/',
			'Services call repositories, not the other way.'
		),
		rule(
			'services-below-http',
			'^src/lib/server/services/',
			'^src/lib/server/http/|^src/routes/',
			'Routes call services.'
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
		doNotFollow: { path: 'node_modules' },
		exclude: { path: '\\.svelte-kit' },
		tsPreCompilationDeps: true,
		enhancedResolveOptions: { extensions: ['.ts', '.js', '.svelte', '.json'] }
	}
};
