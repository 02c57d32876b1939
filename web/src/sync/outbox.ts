import { isEqual } from '@ratio/core/document';
import { createEventHook, useEventListener, useTimeoutFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { ask, newId, RequestProblem } from './client.ts';
import { conflicts } from './conflicts.ts';
import { rebased } from './rebased.ts';
import { isObject, readJson } from './json.ts';
import { useSetAside } from './setAside.ts';

/** A write, as it is kept until the server has acknowledged it. */
export interface Write {
  readonly id: string;
  readonly method: 'POST' | 'PUT' | 'DELETE';
  readonly path: string;
  readonly body?: unknown;
  /** The version that was seen. */
  readonly version?: number;
  /** The document that a change was made on, without who it is: what the change left alone is not written. */
  readonly before?: unknown;
  /** What it is about, for whoever stands at the page. */
  readonly what: string;
  /**
   * An earlier write to the same address that has not been sent is replaced by it. What is written is kept
   * elsewhere on the tablet too: nobody decides about it where the server refuses it after a reload.
   */
  readonly replaces?: true;
}
/** A write that the server refused, with the reason: somebody decides. */
export interface Held {
  readonly write: Write;
  readonly reason: string;
  /** The document as it is now, where two changed the same thing. */
  readonly current?: unknown;
  /** The fields that both changed. */
  readonly fields: readonly string[];
}
interface Kept {
  readonly waiting: readonly Write[];
  readonly held: readonly Held[];
}

const METHODS: readonly unknown[] = ['POST', 'PUT', 'DELETE'];
const isWrite = (value: unknown): value is Write =>
  isObject(value) &&
  METHODS.includes(value['method']) &&
  [value['id'], value['path'], value['what']].every((text) => typeof text === 'string') &&
  (value['method'] !== 'POST' || isObject(value['body']));
const isHeld = (value: unknown): value is Held =>
  isObject(value) &&
  isWrite(value['write']) &&
  typeof value['reason'] === 'string' &&
  Array.isArray(value['fields']);
const isKept = (value: unknown): value is Kept =>
  isObject(value) &&
  Array.isArray(value['waiting']) &&
  value['waiting'].every(isWrite) &&
  Array.isArray(value['held']) &&
  value['held'].every(isHeld);

/** How a write ended for now: acknowledged with an answer, or kept until the server is back. */
export type Sent<T> = { readonly kept: false; readonly answer: T } | { readonly kept: true };

const KEY = 'ratio.outbox';
const FIRST_RETRY_MS = 2000;
const LONGEST_RETRY_MS = 30_000;
/** Answers by which nothing was decided: the same write can be sent again. */
const UNDECIDED = [401, 408, 429];

const isDecided = (error: unknown): error is RequestProblem =>
  error instanceof RequestProblem &&
  error.problem.status < 500 &&
  !UNDECIDED.includes(error.problem.status);

interface Waiter {
  /** Takes the answer in before the write leaves what is shown. */
  readonly arrive: (answer: unknown) => void;
  readonly resolve: (sent: Sent<unknown>) => void;
  readonly reject: (error: unknown) => void;
}

/**
 * Every write of this page, in order. Each is kept in the browser before it is sent, under an identity of
 * its own, and leaves when the server has acknowledged it: a reload, a closed tablet and a lost answer
 * lose nothing and do nothing twice.
 */
export const useOutbox = defineStore('outbox', () => {
  const aside = useSetAside();
  const kept = shallowRef<Kept>({ waiting: [], held: [] });
  /** Why nothing gets through; empty while it does. */
  const stopped = ref('');
  const waiters = new Map<string, Waiter>();

  function read(): Kept {
    const text = localStorage.getItem(KEY);
    if (text === null) return { waiting: [], held: [] };
    const found = readJson(text);
    if (isKept(found)) return found;
    aside.add({ key: KEY, text });
    localStorage.removeItem(KEY);
    return { waiting: [], held: [] };
  }

  // Another tab of this browser keeps its writes here too: what is stored is read anew before each change.
  function change(next: (now: Kept) => Kept): void {
    kept.value = next(read());
    localStorage.setItem(KEY, JSON.stringify(kept.value));
  }
  const without = (id: string) => (now: Kept) => ({
    ...now,
    waiting: now.waiting.filter((one) => one.id !== id),
  });

  let retryMs = FIRST_RETRY_MS;
  const retry = useTimeoutFn(
    () => void send(),
    () => retryMs,
    { immediate: false },
  );
  let sending: Promise<void> | null = null;
  /** The write that is on its way. */
  let sentId: string | null = null;

  /** Sends what waits, the oldest first, as long as it gets through. */
  function send(): Promise<void> {
    sending ??= sendAll().finally(() => (sending = null));
    return sending;
  }

  async function sendAll(): Promise<void> {
    for (let [next] = read().waiting; next; [next] = read().waiting)
      if (!(await sendOne(next))) return;
    stopped.value = '';
    retryMs = FIRST_RETRY_MS;
    retry.stop();
  }

  /** @returns whether the next one can be sent */
  async function sendOne(write: Write): Promise<boolean> {
    const { id, method, path, body, version } = write;
    try {
      sentId = id;
      const answer = await ask<unknown>(path, {
        method,
        ...(body === undefined ? {} : { body }),
        ...(version === undefined ? {} : { version }),
      });
      return done(write, answer);
    } catch (error) {
      sentId = null;
      if (!isDecided(error)) {
        stop(error);
        return false;
      }
      const { problem } = error;
      if (problem.status === 412) return settled(write, problem.current, error);
      change(without(id));
      const waiter = waiters.get(id);
      waiters.delete(id);
      // Whoever waits for it says so; nobody does after a reload.
      if (waiter) waiter.reject(error);
      else if (!write.replaces) hold({ write, reason: problem.detail, fields: [] });
      return true;
    }
  }

  /** Hears of each write that the server took, before it leaves what is shown as waiting. */
  const acknowledged = createEventHook<Write>();

  function done(write: Write, answer: unknown): true {
    const { id } = write;
    sentId = null;
    void acknowledged.trigger(write);
    waiters.get(id)?.arrive(answer);
    change(without(id));
    waiters.get(id)?.resolve({ kept: false, answer });
    waiters.delete(id);
    return true;
  }

  function stop(error: unknown): void {
    stopped.value = error instanceof RequestProblem ? error.message : 'The server does not answer.';
    for (const waiter of waiters.values()) waiter.resolve({ kept: true });
    waiters.clear();
    retry.start();
    retryMs = Math.min(2 * retryMs, LONGEST_RETRY_MS);
  }

  const hold = (held: Held): void => change((now) => ({ ...now, held: [...now.held, held] }));

  /** A write that somebody else came before: made on what is there now, where both can stand. */
  function settled(write: Write, current: unknown, error: RequestProblem): boolean {
    const { id: _, version: now, ...there } = (current ?? {}) as Record<string, unknown>;
    const { id, method, body, before } = write;
    const isDone =
      method === 'DELETE'
        ? (current ?? null) === null
        : method === 'PUT' && isEqual(sameKeys(there, body), body);
    // Its answer was lost, or somebody did the very same.
    if (isDone) return done(write, current);
    const fields =
      method === 'PUT' && current && before !== undefined
        ? conflicts({ before, after: body, now: there })
        : null;
    if (fields?.length === 0) {
      const merged = rebased({ before, after: body, now: there });
      change((input) => ({
        ...input,
        waiting: input.waiting.map((one) =>
          one.id === id ? { ...one, body: merged, version: now as number, before: there } : one,
        ),
      }));
      return true;
    }
    change(without(id));
    const waiter = waiters.get(id);
    waiters.delete(id);
    waiter?.reject(error);
    // What both changed is shown with both versions; for the rest, whoever waits for it says so.
    if (!write.replaces && (fields || !waiter))
      hold({ write, reason: error.problem.detail, current, fields: fields ?? [] });
    return true;
  }

  useEventListener('online', () => void send());
  kept.value = read();
  if (kept.value.waiting.length > 0) void send();

  return {
    waiting: computed(() => kept.value.waiting),
    held: computed(() => kept.value.held),
    stopped,
    send,
    onAcknowledged: acknowledged.on,
    /**
     * Writes: kept here first, then sent after all that wait.
     *
     * @param arrive takes the answer in, at the moment at which the write stops being shown as waiting
     * @throws {RequestProblem} where the server refuses it
     */
    async write<T>(
      input: Omit<Write, 'id'>,
      arrive: (answer: T) => void = () => undefined,
    ): Promise<Sent<T>> {
      const id = newId();
      const isReplaced = (one: Write): boolean =>
        input.replaces === true && one.path === input.path && one.id !== sentId;
      change((now) => ({
        ...now,
        waiting: [...now.waiting.filter((one) => !isReplaced(one)), { ...input, id }],
      }));
      const sent = new Promise<Sent<unknown>>((resolve, reject) =>
        waiters.set(id, {
          resolve,
          reject,
          arrive: (answer) => arrive(answer as T),
        }),
      );
      // One under way takes this one along, unless it has just looked for the last time.
      void send().then(() => (waiters.has(id) ? send() : undefined));
      const ended = await sent;
      return ended.kept ? ended : { kept: false, answer: ended.answer as T };
    },
    /** Sends a held write again, over what is there now. */
    insist(held: Held): void {
      const { write, current } = held;
      const version = (current as { version?: number } | null | undefined)?.version ?? 0;
      change((now) => ({
        waiting: [
          ...now.waiting,
          { ...write, ...(write.version === undefined ? {} : { version }) },
        ],
        held: now.held.filter((one) => one.write.id !== write.id),
      }));
      void send();
    },
    /** Discards a held write: what is there now stays. */
    discard: ({ write }: Held): void =>
      change((now) => ({ ...now, held: now.held.filter((one) => one.write.id !== write.id) })),
  };
});

/** Of a stored document the keys that a write has: the server keeps more of some, such as when it was saved. */
const sameKeys = (stored: Record<string, unknown>, body: unknown): object =>
  Object.fromEntries(Object.keys(isObject(body) ? body : {}).map((key) => [key, stored[key]]));
