/** Whether a number below nought may stand in a field, by the least it takes. @param min as the field has it; blank: nobody said */
export const mayBeNegative = (min: string): boolean => min.trim() === '' || Number(min) < 0;

/** What is typed with its sign turned; a minus alone where nothing is typed yet. */
export function withOtherSign(typed: string): string {
	const text = typed.trim();
	return /^[-−]/.test(text) ? text.slice(1).trimStart() : `-${text.replace(/^\+/, '')}`;
}
