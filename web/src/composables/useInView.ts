import { onScopeDispose, ref, watch, type Ref } from 'vue';

/**
 * Whether an element can be seen whole.
 *
 * @param target null while it is not drawn, which counts as seen: there is nothing to miss
 * @param coveredPx how much at the bottom of the window something else covers
 */
export function useInView(target: Readonly<Ref<Element | null>>, coveredPx = 0): Ref<boolean> {
  const inView = ref(true);
  let observer: IntersectionObserver | undefined;
  watch(target, (element) => {
    observer?.disconnect();
    inView.value = true;
    if (!element) return;
    observer = new IntersectionObserver(
      ([entry]) => (inView.value = (entry?.intersectionRatio ?? 0) > 0.95),
      { rootMargin: `0px 0px -${coveredPx}px 0px`, threshold: [0.95] },
    );
    observer.observe(element);
  });
  onScopeDispose(() => observer?.disconnect());
  return inView;
}
