/** Prior doubt of an uncalibrated tester's gain, one sd as a fraction of its reading (default). */
export const TESTER_GAIN_SD = 0.01;
/** A shortfall is called one way or the other beyond this probability. */
export const DECISION_PROBABILITY = 0.95;
/** A result outside these shares of the rating is a slip until another run says the same (default). */
export const BELIEVABLE = { least: 0.4, most: 1.5 };
/** Two runs of one cell within a year that lie further apart than that, as a share of the larger, and than so many sd, are not of one thing. */
export const CONTRADICT = { share: 0.1, sds: 4 };
/** More than rated by so much is questioned (models §21). */
export const TOO_GOOD = { share: 0.06, usual: 0.04, sds: 2 };
export const ODD_SDS = 3;
/** Larger corrections are refused: the cell has to be tested again nearer the standard. */
export const LARGEST_CORRECTION = 0.05;
/** Sound cells of one kind lose alike in the cold, to so much, one sd (default). */
export const LIKE_CELLS_SD = 0.01;
/** Beyond so many sds one stands apart. */
export const APART_SDS = 2.5;
