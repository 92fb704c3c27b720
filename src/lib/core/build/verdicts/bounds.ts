/** "Right" must be this sure. */
export const PASS_FROM = 0.99;
