/** Waits until what is being put up has been drawn; on a page that nobody sees, for nothing. */
export const nextPicture = (): Promise<void> =>
  document.hidden
    ? Promise.resolve()
    : new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
