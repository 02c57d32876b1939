import { onMounted, ref, type Ref } from 'vue';

/**
 * How far a page is put up: 0 at first, and one more after each picture, so that no part of it holds up
 * the next one. A page that nobody sees is put up at once.
 *
 * @param last stage of the page, above 0
 */
export function useStages(last: number): Readonly<Ref<number>> {
  const stage = ref(0);
  function after(): void {
    stage.value += 1;
    if (stage.value < last) afterPicture(after);
  }
  onMounted(() => {
    if (document.hidden) stage.value = last;
    else afterPicture(after);
  });
  return stage;
}

// A frame is asked for before it is drawn; a timer in it comes after.
const afterPicture = (work: () => void): void => {
  requestAnimationFrame(() => setTimeout(work));
};
