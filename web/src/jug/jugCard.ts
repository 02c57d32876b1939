import type { Jug } from '@ratio/core/jug';
import type { Balance } from './useJug.ts';
import type { FieldRow } from '../format/index.ts';

/** Something to do to a jug: what is asked, the balance with this jug's numbers, and the button that does it. */
export interface JugCard {
  readonly title: string;
  readonly reason: string;
  readonly rows: readonly FieldRow[];
  readonly balance?: Balance;
  readonly worked: string;
  /** What the menu becomes. */
  readonly menu?: string;
  readonly action: string;
  /** Whether something is still to be said. */
  readonly disabled?: boolean;
  readonly act: () => void;
}

/** @returns the card for a jug; null where it cannot be done */
export type CardOf = (jug: Jug) => JugCard | null;

/** What one adds, draws off or counts at the most. */
export const MOST_G = 200_000;
