import { tryOnMounted, useTimeoutPoll } from '@vueuse/core';
import { computed, ref } from 'vue';
import { Unreachable, ask, sentenceOf, useLoaded, useNotice } from '../sync/index.ts';

/** A copy of the shop. */
export interface Backup {
  readonly name: string;
  readonly by: 'day' | 'hand' | 'update' | 'restore';
  readonly at: string;
  readonly bytes: number;
}

const PATH = '/api/backups';
const ASK_AGAIN_MS = 500;

/** The copies of the shop: made, and taken back into use. */
export function useBackups() {
  const notice = useNotice();
  const { loaded, state, failure, load } = useLoaded(() => ask<Backup[]>(PATH));
  const busy = ref(false);
  const restoring = ref(false);

  async function does(work: () => Promise<string>): Promise<void> {
    busy.value = true;
    try {
      notice.say({ tone: 'done', text: await work() });
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    } finally {
      busy.value = false;
    }
  }

  // The server opens another database: pages begin anew once it answers.
  const { resume } = useTimeoutPoll(
    async () => {
      if (!restoring.value) return;
      const answer = await ask('/api/shop').catch((error: unknown) => error);
      if (!(answer instanceof Unreachable)) location.reload();
    },
    ASK_AGAIN_MS,
    { immediate: false },
  );
  tryOnMounted(() => void load());

  return {
    backups: computed(() => loaded.value ?? []),
    state,
    failure,
    load,
    busy,
    restoring,
    make: () =>
      does(async () => {
        const made = await ask<Backup>(PATH, { method: 'POST' });
        await load();
        return `Copied and checked: ${made.name}.`;
      }),
    restore: ({ name }: Backup) =>
      does(async () => {
        await ask(`${PATH}/${name}/restore`, { method: 'POST' });
        restoring.value = true;
        resume();
        return 'The copy is sound, and is being taken into use.';
      }),
  };
}
