import { isPuttingUp } from './useTurn.ts';

const drawn = (): Promise<void> =>
  new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));

/** Waits until every part that is being put up has been drawn; on a page that nobody sees, for nothing. */
export async function nextPicture(): Promise<void> {
  if (document.hidden) return;
  do await drawn();
  while (isPuttingUp());
}
