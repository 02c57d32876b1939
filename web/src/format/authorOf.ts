/** Who wrote in a shop that does not ask who stands there. */
const NOBODY = 'unsigned';

/** @returns who wrote it; empty where nobody said */
export const authorOf = ({ author }: { readonly author: string }): string =>
  author === NOBODY ? '' : author;
