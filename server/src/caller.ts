import type { Role } from '@ratio/core/shop';

/** The sender of a request: shop and name. */
export interface Caller {
  readonly shopId: string;
  /** The author that is stored with every row. */
  readonly author: string;
}

/** The sender of a request, with the role. */
export interface RoledCaller extends Caller {
  readonly role: Role;
}

/** The author of requests from the machine itself while nobody is signed in. */
export const UNSIGNED = 'unsigned';
