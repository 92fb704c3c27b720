/** What a bank is for. */
export const BANK_USES = ['cabin', 'van', 'motorhome', 'boat', 'other'] as const;
export type BankUse = (typeof BANK_USES)[number];
