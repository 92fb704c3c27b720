import { problemResponse } from './problem';

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

/** Whether this server answers to a Host header. */
export const isAllowedHost = (host: string, hosts: Set<string>): boolean => hosts.has(nameOf(host));

/** Largest form a page sends, bytes. */
const FORM_LIMIT = 1 << 20;

/** A form of unknown or excessive length; what the API takes it limits itself. */
const isTooLong = (request: Request) => {
	const length = request.headers.get('content-length');
	return !(length !== null && Number(length) <= FORM_LIMIT);
};

/** The refusal of a request for a host name this server does not go by. */
export const hostRefusal = (host: string): Response =>
	problemResponse(
		400,
		'host',
		`This server does not answer to the host name "${nameOf(host).slice(0, 80)}". Use 127.0.0.1, or name the host in ALLOWED_HOSTS.`
	);

/**
 * Refuses requests for another host name (DNS rebinding) and writes that another site's page sends.
 * @returns the refusal, or null to go on
 */
export function refusal(request: Request, hosts: Set<string>): Response | null {
	const host = request.headers.get('host') ?? '';
	if (!isAllowedHost(host, hosts)) return hostRefusal(host);
	if (request.method === 'GET' || request.method === 'HEAD') return null;
	const origin = request.headers.get('origin');
	if (origin !== null && (!URL.canParse(origin) || new URL(origin).host !== host))
		return problemResponse(400, 'origin', 'Writes from another site’s page are refused.');
	if (!new URL(request.url).pathname.startsWith('/api/') && isTooLong(request))
		return problemResponse(413, 'too-large', 'A form may hold at most 1 MB, and must say how long it is.');
	return null;
}

/** Headers every answer carries, beside the content security policy. */
export const SECURITY_HEADERS: Record<string, string> = {
	'x-content-type-options': 'nosniff',
	'x-frame-options': 'DENY',
	'referrer-policy': 'same-origin',
	'cross-origin-opener-policy': 'same-origin',
	'cross-origin-resource-policy': 'same-origin',
	'permissions-policy': 'camera=(self), microphone=(), geolocation=()'
};
