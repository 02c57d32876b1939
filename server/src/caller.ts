/** Who asks: in which shop, and under which name. */
export interface Caller {
  readonly shopId: string;
  /** Who did it, as it is kept with every row. */
  readonly author: string;
}

/** Whoever stands at a page while nobody signs in. */
export const UNSIGNED = 'unsigned';
