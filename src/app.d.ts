import type { IncomingMessage } from 'node:http';
import type { Settings } from '$lib/core/foundation/units';

declare global {
	namespace App {
		interface Error {
			message: string;
			code?: string;
		}
		/** What the Node server hands along with a request; absent in development. */
		interface Platform {
			req?: IncomingMessage;
		}
		interface Locals {
			settings: Settings;
		}
	}
}

export {};
