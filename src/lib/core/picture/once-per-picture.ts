import type { BankPicture } from './picture';

/** What follows from a picture alone is worked out once for it, however many stages ask. A picture never changes. */
export function oncePerPicture<T>(work: (picture: BankPicture) => T): (picture: BankPicture) => T {
	const known = new WeakMap<BankPicture, { result: T }>();
	return (picture) => {
		const before = known.get(picture);
		if (before) return before.result;
		const result = work(picture);
		known.set(picture, { result });
		return result;
	};
}
