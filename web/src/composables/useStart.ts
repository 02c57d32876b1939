import { ref } from 'vue';
import { beginFirstAnswers, endFirstAnswers } from '../api/firstAnswers.ts';
import { onSignInAsked, sentenceOf } from '../api/client.ts';
import { useBatches } from '../stores/batches.ts';
import { useDraft } from '../stores/draft.ts';
import { useDrinks } from '../stores/drinks.ts';
import { useJugs } from '../stores/jugs.ts';
import { useOutbox } from '../stores/outbox.ts';
import { usePantryDocuments } from '../stores/pantryDocuments.ts';
import { useSession } from '../stores/session.ts';
import { useShop } from '../stores/shop.ts';

/** What was read is taken in by one task, and a page is put up by the next. */
const nextTask = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** Reads the whole shop once, and again where that failed. */
export function useStart() {
  const first = [useShop(), usePantryDocuments(), useDrinks(), useBatches(), useJugs()];
  const drafts = useDraft();
  const session = useSession();
  const outbox = useOutbox();
  const state = ref<'loading' | 'ready' | 'failed' | 'signIn'>('loading');
  const failure = ref('');

  async function load(): Promise<void> {
    state.value = 'loading';
    beginFirstAnswers();
    try {
      await session.load();
      if (session.needsSignIn) {
        state.value = 'signIn';
        return;
      }
      const isSending = outbox.waiting.length > 0;
      await Promise.all(first.map((store) => store.load()));
      await drafts.load();
      await nextTask();
      state.value = 'ready';
      // What was kept from before may have got through behind what was read.
      if (isSending) void outbox.send().then(refresh);
    } catch (error) {
      failure.value = sentenceOf(error);
      state.value = 'failed';
    } finally {
      endFirstAnswers();
    }
  }
  /** Reads the shop again behind the page that stands. */
  const refresh = () => Promise.allSettled(first.map((store) => store.load()));
  void load();
  onSignInAsked(async () => {
    if (state.value !== 'ready') return;
    await session.load();
    if (session.needsSignIn) state.value = 'signIn';
  });
  return {
    state,
    failure,
    load,
    refresh,
  };
}
