import { useEventListener, useTimeoutFn } from '@vueuse/core';
import { createStore, del, entries, set, type UseStore } from 'idb-keyval';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { ask, newId, sentenceOf, Unreachable } from './client.ts';
import { useNotice } from './notice.ts';
import { useOutbox } from './outbox.ts';

/** A photograph that waits for the server. */
interface WaitingPhoto {
  readonly id: string;
  /** Where it belongs: a batch's address, or a step's. */
  readonly of: string;
  /** When it was taken, ISO 8601. */
  readonly at: string;
  readonly what: string;
  readonly photo: Blob;
}

const RETRY_MS = 10_000;

/**
 * Photographs that wait for the server. Each is stored in the browser before it is sent, and removed when the
 * server has acknowledged it. They are sent after every other write, because their batch may be one.
 */
export const usePhotos = defineStore('photos', () => {
  const outbox = useOutbox();
  const notice = useNotice();
  const waiting = shallowRef<readonly WaitingPhoto[]>([]);
  /** Whether the server did not answer the last one. */
  const isStopped = ref(false);
  let drawer: UseStore | undefined;
  const kept = (): UseStore => (drawer ??= createStore('ratio-photos', 'waiting'));

  const retry = useTimeoutFn(() => void send(), RETRY_MS, { immediate: false });
  let sending: Promise<void> | null = null;
  function send(): Promise<void> {
    sending ??= sendAll().finally(() => (sending = null));
    return sending;
  }
  async function sendAll(): Promise<void> {
    for (let [next] = waiting.value; next; [next] = waiting.value) {
      if (outbox.waiting.length > 0) return;
      const { id, of, at, photo, what } = next;
      try {
        const path = `${of}/photos/${id}?at=${encodeURIComponent(at)}`;
        await ask(path, { method: 'PUT', body: photo });
        isStopped.value = false;
      } catch (error) {
        isStopped.value = error instanceof Unreachable;
        if (isStopped.value) return retry.start();
        notice.say({ tone: 'wrong', text: `${what} is not kept. ${sentenceOf(error)}` });
      }
      waiting.value = waiting.value.filter((one) => one.id !== id);
      await del(id, kept()).catch(() => undefined);
    }
  }
  async function readKept(): Promise<void> {
    const before = await entries<string, WaitingPhoto>(kept());
    const isNew = ({ id }: WaitingPhoto): boolean => !waiting.value.some((one) => one.id === id);
    const byAge = before.map(([, photo]) => photo).toSorted((a, b) => (a.at < b.at ? -1 : 1));
    waiting.value = [...byAge.filter(isNew), ...waiting.value];
    await send();
  }
  // A browser without storage has stored nothing.
  void readKept().catch(() => undefined);
  useEventListener('online', () => void send());
  watch(
    () => outbox.waiting.length,
    (left) => {
      if (left === 0) void send();
    },
  );

  return {
    waiting: computed(() => waiting.value),
    isStopped,
    /** Those of a batch or a step that wait. */
    waitingOf: (id: string): readonly WaitingPhoto[] =>
      waiting.value.filter((one) => one.of === id),
    /** @returns its identity, and whether the server has it already */
    async keep(input: string, photo: Blob, about: { at: string; what: string }) {
      const one: WaitingPhoto = { id: newId(), of: input, photo, ...about };
      await set(one.id, one, kept()).catch(() => undefined);
      waiting.value = [...waiting.value, one];
      await send();
      return { id: one.id, isSent: !waiting.value.some(({ id }) => id === one.id) };
    },
    send,
  };
});
