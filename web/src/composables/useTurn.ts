import { onScopeDispose, ref, type Ref } from 'vue';

const waiting: (() => void)[] = [];

/** @returns whether a part of the page waits for its turn */
export const isPuttingUp = (): boolean => waiting.length > 0;

function next(): void {
  const takeTurn = waiting.shift();
  if (waiting.length > 0) setTimeout(next);
  takeTurn?.();
}

/**
 * Whether it is the turn of a part of a page to be put up: one part after another, in the order in which
 * they asked, each in a task of its own, so that none of them holds up a tap or a picture. A page that
 * nobody sees is put up at once.
 */
export function useTurn(): Readonly<Ref<boolean>> {
  const isOn = ref(document.hidden);
  if (isOn.value) return isOn;
  const takeTurn = (): void => {
    isOn.value = true;
  };
  waiting.push(takeTurn);
  if (waiting.length === 1) setTimeout(next);
  onScopeDispose(() => {
    const i = waiting.indexOf(takeTurn);
    if (i >= 0) waiting.splice(i, 1);
  });
  return isOn;
}
