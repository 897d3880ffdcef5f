/**
 * What cables without mains keep from those with it, edge to edge, mm. Source: BS 7671:2018+A2:2022 528.1; the distance is typical.
 */
export const SIGNAL_APART = 50;
/** Cables that run side by side for less only pass each other, as at a box, mm. A working value of ours. */
export const SIGNAL_BESIDE = 150;
