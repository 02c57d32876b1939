import type { Kept } from '../sync/index.ts';

/** A jug that is none of the shop’s vessels. */
export const OTHER_JUG = 'other';

/** One jug that a strain fills. */
export type Fill = NonNullable<Kept['ratio.strain'][string]['fills']>[number];

/** What is entered of a strain, or was observed of it. */
export interface StrainEntered {
  readonly fills: readonly Fill[];
  /** As it was read; null where nobody did. */
  readonly strengthFrac: number | null;
  /** ms since 1970 UTC; null for now. */
  readonly strainedMs: number | null;
}

/** What a strain is expected to come to. */
export interface StrainExpected {
  readonly strengthFrac: number;
  readonly brewMl: number;
  /** Early or late, and what it does; empty where it is as planned. */
  readonly timingText: string;
  readonly isFarOff: boolean;
  /** Most that can have come out, g. */
  readonly mostG: number;
  /** What is entered of all jugs together, mL. */
  readonly wholeMl: number;
  readonly densityGPerMl: number;
}
