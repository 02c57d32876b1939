import type { BlindKind } from '@ratio/core/tasting';

/** Ways to compare, by what each of them answers. */
export const KIND_NAMES: Readonly<Record<BlindKind, string>> = {
  triangle: 'Triangle: is there a difference?',
  'duo-trio': 'Duo-trio: is there a difference to a reference?',
  preference: 'Preference: which one is better?',
};
