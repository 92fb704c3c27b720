/** A fuse is to carry the continuous current with so much to spare, and a BMS what runs from it. */
export const FUSE_MARGIN = 1.25;
