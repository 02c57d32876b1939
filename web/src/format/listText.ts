/** @returns what is known of something in one line: a part that is empty is left out with what would part it */
export const listText = (parts: readonly string[], between = ', '): string =>
  parts.filter((part) => part !== '').join(between);
