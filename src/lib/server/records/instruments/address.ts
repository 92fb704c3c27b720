import { BlockList, isIP } from 'node:net';
import { InputError } from '$lib/input/validate';

const loopback = new BlockList();
loopback.addSubnet('127.0.0.0', 8, 'ipv4');
loopback.addAddress('::1', 'ipv6');

/** Addresses no instrument on a bench has: of the link alone (cloud metadata among them), of nobody, of many. */
const never = new BlockList();
never.addSubnet('169.254.0.0', 16, 'ipv4');
never.addSubnet('0.0.0.0', 8, 'ipv4');
never.addSubnet('224.0.0.0', 4, 'ipv4');
never.addSubnet('240.0.0.0', 4, 'ipv4');
never.addSubnet('fe80::', 10, 'ipv6');
never.addSubnet('ff00::', 8, 'ipv6');
never.addAddress('::', 'ipv6');
never.addAddress('fd00:ec2::254', 'ipv6');

const bare = (host: string) => host.replace(/^\[|\]$/g, '').toLowerCase();
const listed = (list: BlockList, address: string) => {
	const version = isIP(address);
	return version !== 0 && list.check(address, version === 6 ? 'ipv6' : 'ipv4');
};
/** Looks like an address of four numbers and is none: resolvers read such things each in their own way. */
const NUMBERS = /^(0x[0-9a-f]+|\d+)(\.(0x[0-9a-f]+|\d+))*\.?$/i;
const isNoAddress = (host: string) => NUMBERS.test(host) && isIP(host) === 0;

export const isLoopback = (host: string): boolean => bare(host) === 'localhost' || listed(loopback, bare(host));

/** @throws InputError for an address no instrument has, and for one outside this computer that was not named as such */
export function checkAddress({ host, outsideNamed }: { host: string; outsideNamed: boolean }): void {
	const address = bare(host);
	if (isNoAddress(address))
		throw new InputError([{ path: 'host', message: `${host} is no address: four numbers from 0 to 255, or a name` }]);
	refuseNever(address);
	if (!isLoopback(host) && !outsideNamed)
		throw new InputError([
			{
				path: 'outsideNamed',
				message: `${host} is outside this computer: say that you mean it, and only for an instrument of your own`
			}
		]);
}

/** @throws InputError for an address, typed or found behind a name, that no instrument on a bench has */
export function refuseNever(address: string): void {
	if (listed(never, bare(address)))
		throw new InputError([
			{ path: 'host', message: `${address} is no address an instrument on your bench can have: it is never called` }
		]);
}
