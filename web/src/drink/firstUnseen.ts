import { useIntersectionObserver } from '@vueuse/core';
import { ref, shallowRef, watch, type Ref } from 'vue';

/** What the button's row covers at the bottom of the window. */
const FOOTER_PX = 64;
const SEEN_FRAC = 0.95;

/**
 * Which lines of a list are out of sight: below the window, or under the button's row.
 *
 * @param list what the lines stand in, as `li`
 * @param lines asks again whenever it changes
 * @returns the number of the first line that is not seen whole; −1 where all are
 */
export function firstUnseen(list: Ref<HTMLElement | null>, lines: () => unknown): Ref<number> {
  const items = shallowRef<HTMLElement[]>([]);
  const first = ref(-1);
  const unseen = new Set<Element>();
  watch(
    [list, lines],
    () => {
      unseen.clear();
      items.value = [...(list.value?.querySelectorAll('li') ?? [])];
    },
    { flush: 'post' },
  );
  useIntersectionObserver(
    items,
    (entries) => {
      for (const { target, intersectionRatio } of entries)
        if (intersectionRatio < SEEN_FRAC) unseen.add(target);
        else unseen.delete(target);
      first.value = items.value.findIndex((item) => unseen.has(item));
    },
    { rootMargin: `0px 0px -${FOOTER_PX}px 0px`, threshold: [0, SEEN_FRAC] },
  );
  return first;
}
