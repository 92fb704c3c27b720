/** Switches an output off when nobody has spoken to the instrument for a while: real seconds, because the line is real. */
export interface Watchdog {
	heard(): void;
	setS(seconds: number): void;
	seconds(): number;
	stop(): void;
}

const LOOKS_EVERY_MS = 100;

export function createWatchdog(now: () => number, bark: () => void): Watchdog {
	let limitS = 0;
	let lastMs = now();
	const timer = setInterval(() => {
		if (limitS > 0 && now() - lastMs > limitS * 1000) bark();
	}, LOOKS_EVERY_MS);
	return {
		heard: () => void (lastMs = now()),
		setS(seconds) {
			limitS = seconds;
			lastMs = now();
		},
		seconds: () => limitS,
		stop: () => clearInterval(timer)
	};
}
