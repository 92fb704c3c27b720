interface WhereItIs {
	inBank: { name: string; battery: number; position: number } | null;
	consideredFor: readonly { name: string }[];
	wasIn: readonly string[];
}

/** Where a cell of the stock is, in a word or two: built in, considered, loose and where it was before. */
export function stockMark({ inBank, consideredFor, wasIn }: WhereItIs): string {
	if (inBank) return `${inBank.name} ${inBank.battery}/${inBank.position}`;
	const [wish] = consideredFor;
	if (wish) return `for ${wish.name}${consideredFor.length > 1 ? ` +${consideredFor.length - 1}` : ''}`;
	const last = wasIn.at(-1);
	return last ? `was in ${last}` : 'loose';
}
