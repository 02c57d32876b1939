/** How one file is chosen: the same one again, once it was mended, is a choice too. */
export const ONE_FILE = { multiple: false, reset: true } as const;
