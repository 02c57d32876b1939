import type { Role } from '@ratio/core/shop';

/** Who asks: in which shop, and under which name. */
export interface Caller {
  readonly shopId: string;
  /** Who did it, as it is kept with every row. */
  readonly author: string;
}

/** Who asks, and what they may do. */
export interface RoledCaller extends Caller {
  readonly role: Role;
}

/** Whoever stands at the machine itself while nobody has signed in. */
export const UNSIGNED = 'unsigned';
