/** Lighter than the sheet by more is worth a word (default). */
export const UNDER_SHEET = 0.03;
/** Above the promise by more than that share a cell is not what was sold (default). */
export const OVER_PROMISE = 0.1;
/** A case whose middle stands out so far over its edges, mm, or that is so much thicker than its sheet says, has swollen (default; the maker's limit first). */
export const SWELLS = { outMm: 3, share: 0.05 };
