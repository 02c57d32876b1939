import { useTitle } from '@vueuse/core';
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import { useCalls } from './calls.ts';
import { useHands } from './hands.ts';

/**
 * What is due, where somebody sees it who looks elsewhere: in the page's title and its icon, and by a sound
 * and a notification where they were allowed.
 */
export function useDueCall(): void {
  const hands = useHands();
  const route = useRoute();
  const calls = useCalls();

  useTitle(
    computed(() => {
      const count = hands.due.length > 0 ? `(${hands.due.length}) ` : '';
      return `${count}${route.meta.title ?? ''} · Ratio`;
    }),
  );
  const icon = document.querySelector<HTMLLinkElement>('link[rel="icon"]');
  const usual = icon?.href ?? '';
  watch(
    () => hands.due.length > 0,
    (isDue) => icon?.setAttribute('href', isDue ? '/mark-due.svg' : usual),
    { immediate: true },
  );

  // What was due when the page was opened is on the page; what becomes due later is called.
  watch(
    () => hands.due.map(({ key }) => key).join('\n'),
    (_, before) => {
      const known = before.split('\n');
      const fresh = hands.due.filter(({ key }) => !known.includes(key));
      if (fresh.length > 0)
        calls.call(fresh.map(({ title, where }) => `${title}, ${where}`).join('. '));
    },
  );
}
