import { watch } from 'vue';
import { useRoute } from 'vue-router';
import { useNotice } from './notice.ts';

/**
 * Selects what the query of the address names by its identity; says so where it does not exist, or not any
 * more.
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
  // Once for each address: something that is removed later did exist.
  watch(
    [() => route.query[input.key], () => input.ids().length > 0],
    ([asked, isKnown]) => {
      if (typeof asked === 'string' && isKnown && !input.ids().includes(asked))
        notice.say({ tone: 'wrong', text: `There is no such ${input.what} any more.` });
    },
    { immediate: true },
  );
}
