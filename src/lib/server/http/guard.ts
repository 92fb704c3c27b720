import { problemResponse } from './endpoint';

/** Host names this server answers to: itself on loopback, and those the operator names. */
export function allowedHosts(extra = process.env.ALLOWED_HOSTS ?? ''): Set<string> {
	return new Set([
		'127.0.0.1',
		'localhost',
		'[::1]',
		...extra
			.split(',')
			.map((h) => h.trim().toLowerCase())
			.filter(Boolean)
	]);
}

const nameOf = (host: string) => host.toLowerCase().replace(/:\d+$/, '');

/**
 * Refuses requests for another host name (DNS rebinding) and writes that another site's page sends.
 * @returns the refusal, or null to go on
 */
export function refusal(request: Request, hosts: Set<string>): Response | null {
	const host = request.headers.get('host') ?? '';
	if (!hosts.has(nameOf(host)))
		return problemResponse(
			400,
			'host',
			`This server does not answer to the host name "${nameOf(host).slice(0, 80)}". Use 127.0.0.1, or name the host in ALLOWED_HOSTS.`
		);
	if (request.method === 'GET' || request.method === 'HEAD') return null;
	const origin = request.headers.get('origin');
	if (origin !== null && (!URL.canParse(origin) || new URL(origin).host !== host))
		return problemResponse(400, 'origin', 'Writes from another site’s page are refused.');
	return null;
}

/** Headers every answer carries, beside the content security policy. */
export const SECURITY_HEADERS: Record<string, string> = {
	'x-content-type-options': 'nosniff',
	'x-frame-options': 'DENY',
	'referrer-policy': 'same-origin',
	'cross-origin-opener-policy': 'same-origin',
	'cross-origin-resource-policy': 'same-origin',
	'permissions-policy': 'camera=(), microphone=(), geolocation=()'
};
