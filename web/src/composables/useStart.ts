import { ref } from 'vue';
import { onSignInAsked, sentenceOf } from '../api/client.ts';
import { useBatches } from '../stores/batches.ts';
import { useDraft } from '../stores/draft.ts';
import { useDrinks } from '../stores/drinks.ts';
import { useJugs } from '../stores/jugs.ts';
import { usePantry } from '../stores/pantry.ts';
import { useSession } from '../stores/session.ts';
import { useShop } from '../stores/shop.ts';

/** Reads the whole shop once, and again where that failed. */
export function useStart() {
  const first = [useShop(), usePantry(), useDrinks(), useBatches(), useJugs()];
  const drafts = useDraft();
  const session = useSession();
  const state = ref<'loading' | 'ready' | 'failed' | 'signIn'>('loading');
  const failure = ref('');

  async function load(): Promise<void> {
    state.value = 'loading';
    try {
      await session.load();
      if (session.needsSignIn) {
        state.value = 'signIn';
        return;
      }
      await Promise.all(first.map((store) => store.load()));
      await drafts.load();
      state.value = 'ready';
    } catch (error) {
      failure.value = sentenceOf(error);
      state.value = 'failed';
    }
  }
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
    /** Reads the shop again behind the page that stands. */
    refresh: () => Promise.allSettled(first.map((store) => store.load())),
  };
}
