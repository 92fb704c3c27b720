/** Charge that comes out again of what went in (models, a cell that can be simulated). */
export const COULOMBIC = 0.999;
