/** @returns what is known of something in one line: a part that is empty or not so is left out with what would part it */
export const listText = (parts: readonly (string | false)[], between = ', '): string =>
  parts.filter(Boolean).join(between);
