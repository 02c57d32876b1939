import { useTitle } from '@vueuse/core';
import { computed, watch, type Ref } from 'vue';
import { useRoute } from 'vue-router';
import { useCalls } from '../stores/calls.ts';
import type { Hand } from '../format/hand.ts';

/**
 * What is due, where somebody sees it who looks elsewhere: in the page's title and its icon, and by a sound
 * and a notification where they were allowed.
 */
export function useDueCall(of: {
  hands: Readonly<Ref<readonly Hand[]>>;
  due: Readonly<Ref<number>>;
  nowMs: () => number;
}): void {
  const { hands, due, nowMs } = of;
  const route = useRoute();
  const calls = useCalls();

  useTitle(
    computed(() => {
      const count = due.value > 0 ? `(${due.value}) ` : '';
      return `${count}${String(route.meta['title'] ?? '')} · Ratio`;
    }),
  );
  const icon = document.querySelector<HTMLLinkElement>('link[rel="icon"]');
  watch(
    () => due.value > 0,
    (isDue) => icon?.setAttribute('href', isDue ? '/mark-due.svg' : '/mark.svg'),
    { immediate: true },
  );

  const dueKeys = computed(() =>
    hands.value.filter(({ atMs }) => atMs <= nowMs()).map(({ key }) => key),
  );
  // What was due when the page was opened is on the page; what becomes due later is called.
  watch(
    () => dueKeys.value.join('\n'),
    (_, before) => {
      const known = before.split('\n');
      const fresh = hands.value.filter(
        ({ key }) => dueKeys.value.includes(key) && !known.includes(key),
      );
      if (fresh.length > 0)
        calls.call(fresh.map(({ title, where }) => `${title}, ${where}`).join('. '));
    },
  );
}
