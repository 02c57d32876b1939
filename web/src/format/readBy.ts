import type { Jug } from '@ratio/core/jug';

/** Whence a jug's strength is known, in words. */
export const READ_BY: Readonly<Record<Jug['readBy'], string>> = {
  refractometer: 'read',
  prediction: 'predicted, not read',
  taste: 'by taste, not read',
  balance: 'by the balance',
};
