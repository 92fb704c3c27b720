import { startBench } from './bench-server';

/** `npm run stand-ins [-- --port 5320]`: the simulated bench, until it is stopped. */
const DEFAULT_PORT = 5320;
const at = process.argv.indexOf('--port');
const wanted = at > 0 ? Number(process.argv[at + 1]) : Number(process.env.KIND_EMBER_BENCH_PORT ?? DEFAULT_PORT);
if (!Number.isInteger(wanted) || wanted < 0 || wanted > 65_535) {
	console.error(`--port requires a whole number from 0 to 65535, got ${process.argv[at + 1]}`);
	process.exit(1);
}
try {
	const bench = await startBench(wanted);
	console.log(`The simulated bench is at 127.0.0.1:${bench.port}`);
	for (const { name, protocol, port, unitId } of bench.addresses)
		console.log(`  ${name.padEnd(10)} ${protocol} 127.0.0.1:${port}${unitId === null ? '' : ` unit ${unitId}`}`);
	for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const)
		process.on(signal, () => {
			bench.close();
			process.exit(0);
		});
} catch (error) {
	if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error;
	console.error(`Port ${wanted} is taken. Give another: npm run stand-ins -- --port 0 takes any that is free.`);
	process.exit(1);
}
