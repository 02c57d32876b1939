import { watch } from 'vue';
import { useRoute } from 'vue-router';
import { useNotice } from './notice.ts';

/**
 * Takes into hand what the address asks for, by its id under a key; where there is no such thing, or
 * not any more, that is said.
 */
export function useAskedFor(input: {
  key: string;
  /** What it is called, as in "There is no such drink". */
  what: string;
  take: (id: string) => void;
  /** All there are; none as long as they are not known. */
  ids: () => readonly string[];
}): void {
  const route = useRoute();
  const notice = useNotice();
  watch(
    () => route.query[input.key],
    (asked) => {
      if (typeof asked === 'string') input.take(asked);
    },
    { immediate: true },
  );
  // Once for each address: what is let go later was there.
  watch(
    [() => route.query[input.key], () => input.ids().length > 0],
    ([asked, isKnown]) => {
      if (typeof asked === 'string' && isKnown && !input.ids().includes(asked))
        notice.say({ tone: 'wrong', text: `There is no such ${input.what} any more.` });
    },
    { immediate: true },
  );
}
