import { onScopeDispose, ref, type Ref } from 'vue';

/**
 * How far a page is put up: 0 at first, and one more after each picture, so that no part of it holds up
 * the next one. A page that nobody sees is put up at once.
 *
 * @param last stage of the page, above 0
 */
export function useStages(last: number): Readonly<Ref<number>> {
  const stage = ref(document.hidden ? last : 0);
  let isGone = false;
  // A frame is asked for before it is drawn; a timer in it comes after.
  const goOn = (): void => {
    requestAnimationFrame(() =>
      setTimeout(() => {
        if (isGone) return;
        stage.value += 1;
        if (stage.value < last) goOn();
      }),
    );
  };
  if (stage.value < last) goOn();
  onScopeDispose(() => (isGone = true));
  return stage;
}
