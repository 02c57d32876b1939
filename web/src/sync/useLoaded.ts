import { ref, shallowRef } from 'vue';
import { sentenceOf } from './client.ts';

/** How what a page needs is on its way: being read for the first time, there, or not to be had. */
export type LoadState = 'loading' | 'ready' | 'failed';

/**
 * What a page needs from the server, and how reading it went. Read again, the page keeps what it shows
 * until the answer is there; an answer that a later question has overtaken is left out.
 */
export function useLoaded<T>(read: () => Promise<T>) {
  const loaded = shallowRef<T | null>(null);
  const state = ref<LoadState>('loading');
  const failure = ref('');
  let asked = 0;

  async function load(): Promise<void> {
    asked += 1;
    const mine = asked;
    if (state.value === 'failed') state.value = 'loading';
    try {
      const answer = await read();
      if (mine !== asked) return;
      loaded.value = answer;
      state.value = 'ready';
    } catch (error) {
      if (mine !== asked) return;
      failure.value = sentenceOf(error);
      state.value = 'failed';
    }
  }
  return { loaded, state, failure, load };
}
