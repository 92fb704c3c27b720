import pino from 'pino';

/** Structured log to standard error; `LOG_LEVEL` sets how much. */
export const log = pino({ level: process.env.LOG_LEVEL ?? 'info', base: undefined }, pino.destination(2));
