import type { Kept } from '../../kept/shapes.ts';

/** A jug that is none of the shop’s vessels. */
export const OTHER_JUG = 'other';

/** One jug that a strain fills. */
export type Fill = Kept['ratio.strain'][string]['fills'][number];
