/** @returns how many, as a text; what takes nothing can be made any number of times */
export const countText = (count: number): string =>
  Number.isFinite(count) ? String(count) : 'any';
