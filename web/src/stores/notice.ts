import { defineStore } from 'pinia';
import { shallowRef } from 'vue';

/** One sentence about what just happened, and how to take it back. */
export interface Notice {
  readonly text: string;
  readonly tone: 'done' | 'wrong';
  readonly undo?: () => Promise<void>;
}

const SHOWN_MS = 12_000;

/** The one place where pages say what happened. */
export const useNotice = defineStore('notice', () => {
  const notice = shallowRef<Notice | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;

  function say(next: Notice): void {
    clearTimeout(timer);
    notice.value = next;
    timer = setTimeout(() => (notice.value = null), SHOWN_MS);
  }

  return { notice, say, dismiss: () => (notice.value = null) };
});
