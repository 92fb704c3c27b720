import type { Settings } from '$lib/core/units';

declare global {
	namespace App {
		interface Error {
			message: string;
			code?: string;
		}
		interface Locals {
			settings: Settings;
		}
	}
}

export {};
