import { definitionOf } from '$lib/core/bank';
import type { ShownVerdict } from '$lib/core/foundation/verdicts';

/** The address that leads to the remedy of what stops or asks for a look, and its words; null where there is none, or one stands there already. */
export function remedyOf(
	{ code, warmth }: Pick<ShownVerdict, 'code' | 'warmth'>,
	bankId: number,
	here: string
): { href: string; text: string } | null {
	const remedy = warmth === 'stop' || warmth === 'look' ? definitionOf(code)?.remedy : undefined;
	if (!remedy) return null;
	const href = `/banks/${bankId}/${remedy.to}`;
	return here === href ? null : { href, text: remedy.text };
}
