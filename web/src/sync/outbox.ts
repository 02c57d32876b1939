import { isEqual } from '@ratio/core/document';
import { createEventHook, useEventListener, useTimeoutFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { ask, newId, RequestProblem } from './client.ts';
import { conflicts } from './conflicts.ts';
import { rebased } from './rebased.ts';
import { isObject, readJson } from './json.ts';
import { useSetAside } from './setAside.ts';

/** A write that waits until the server has acknowledged it. */
export interface Write {
  readonly id: string;
  readonly method: 'POST' | 'PUT' | 'DELETE';
  readonly path: string;
  readonly body?: unknown;
  /** The version that was seen. */
  readonly version?: number;
  /** The document that a change started from, without identity and version: unchanged fields are not written. */
  readonly before?: unknown;
  /** What it is about, for the reader of the page. */
  readonly what: string;
  /**
   * It replaces an earlier write to the same address that has not been sent. The tablet stores its content
   * elsewhere too, so a refusal after a reload is not shown for a decision.
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

/** The result of a write so far: acknowledged with an answer, or waiting for the server. */
export type Sent<T> = { readonly kept: false; readonly answer: T } | { readonly kept: true };

const KEY = 'ratio.outbox';
const FIRST_RETRY_MS = 2000;
const LONGEST_RETRY_MS = 30_000;
/** Statuses that decide nothing: the same write can be sent again. */
const UNDECIDED = [401, 408, 429];

const isDecided = (error: unknown): error is RequestProblem =>
  error instanceof RequestProblem &&
  error.problem.status < 500 &&
  !UNDECIDED.includes(error.problem.status);

interface Waiter {
  /** Stores the answer before the write stops being shown as waiting. */
  readonly arrive: (answer: unknown) => void;
  readonly resolve: (sent: Sent<unknown>) => void;
  readonly reject: (error: unknown) => void;
}

/**
 * Every write of this page, in order. Each is stored in the browser before it is sent, with its own identity,
 * and removed when the server has acknowledged it: a reload, a closed tablet and a lost answer lose
 * nothing and repeat nothing.
 */
export const useOutbox = defineStore('outbox', () => {
  const aside = useSetAside();
  const kept = shallowRef<Kept>({ waiting: [], held: [] });
  /** Why writes do not reach the server; empty while they do. */
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

  // Another tab of this browser stores its writes here too: read the storage again before each change.
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
  /** The write that is being sent. */
  let sentId: string | null = null;

  /** Sends waiting writes, the oldest first, until one does not reach the server. */
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
      // The caller shows the refusal; after a reload there is no caller.
      if (waiter) waiter.reject(error);
      else if (!write.replaces) hold({ write, reason: problem.detail, fields: [] });
      return true;
    }
  }

  /** Runs for each acknowledged write, before it stops being shown as waiting. */
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

  /** A stale write: rebased on the current document, where both changes can stand. */
  function settled(write: Write, current: unknown, error: RequestProblem): boolean {
    const { id: _, version: now, ...there } = (current ?? {}) as Record<string, unknown>;
    const { id, method, body, before } = write;
    const isDone =
      method === 'DELETE'
        ? (current ?? null) === null
        : method === 'PUT' && isEqual(sameKeys(there, body), body);
    // Its answer was lost, or somebody made the same change.
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
    // Fields that both changed are shown in both versions; the caller shows any other refusal.
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
     * Stores a write, then sends it after all that wait.
     *
     * @param arrive stores the answer, when the write stops being shown as waiting
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
      // A loop that is sending takes this one too, unless it has just ended.
      void send().then(() => (waiters.has(id) ? send() : undefined));
      const ended = await sent;
      return ended.kept ? ended : { kept: false, answer: ended.answer as T };
    },
    /** Sends a held write again, over the current document. */
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
    /** Discards a held write; the current document stays. */
    discard: ({ write }: Held): void =>
      change((now) => ({ ...now, held: now.held.filter((one) => one.write.id !== write.id) })),
  };
});

/** The keys of a stored document that a write has too: the server adds some, such as the time of saving. */
const sameKeys = (stored: Record<string, unknown>, body: unknown): object =>
  Object.fromEntries(Object.keys(isObject(body) ? body : {}).map((key) => [key, stored[key]]));
