import { defineStore } from 'pinia';
import { ref } from 'vue';
import { useDrinks } from '../drink/index.ts';
import { useBatches, useJugs } from '../events/index.ts';
import { usePantryDocuments } from '../pantry/index.ts';
import { useDraft } from '../plan/index.ts';
import { useShop } from '../shop/index.ts';
import {
  beginFirstAnswers,
  endFirstAnswers,
  onSignInAsked,
  sentenceOf,
  useOutbox,
  useSession,
} from '../sync/index.ts';

/** Reads the whole shop once, and again where that failed. */
export const useStart = defineStore('start', () => {
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
      // A draft may be one of the batches by now.
      await drafts.load();
      state.value = 'ready';
      // Writes from before the reload may have arrived after this read.
      if (isSending) void outbox.send().then(refresh);
    } catch (error) {
      failure.value = sentenceOf(error);
      state.value = 'failed';
    } finally {
      endFirstAnswers();
    }
  }
  /** Reads the shop again while the page stays open. */
  async function refresh(): Promise<void> {
    await Promise.allSettled(first.map((store) => store.load()));
    // A draft may be one of the batches by now.
    await drafts.load().catch(() => undefined);
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
    refresh,
  };
});
