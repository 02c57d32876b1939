import { useTimeoutFn } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import { sentenceOf } from './client.ts';
import { useOutbox } from './outbox.ts';

/** One sentence about what just happened, and how to undo it. */
export interface Notice {
  readonly text: string;
  readonly tone: 'done' | 'wrong';
  readonly undo?: () => Promise<void>;
}

const SHOWN_MS = 12_000;

/** The one place where pages say what happened. */
export const useNotice = defineStore('notice', () => {
  const notice = shallowRef<Notice | null>(null);
  const dismiss = (): void => void (notice.value = null);
  const fading = useTimeoutFn(dismiss, SHOWN_MS, { immediate: false });

  const outbox = useOutbox();

  function say({ text, ...next }: Notice): void {
    const isKept = next.tone === 'done' && outbox.waiting.length > 0;
    notice.value = { ...next, text: isKept ? `${text} Kept here until the server is back.` : text };
    fading.start();
  }

  /** Undoes what the notice tells of. */
  async function undo(): Promise<void> {
    const { undo: back, text } = notice.value ?? {};
    if (!back) return;
    try {
      await back();
      say({ tone: 'done', text: `Undone: ${text}` });
    } catch (error) {
      say({ tone: 'wrong', text: sentenceOf(error) });
    }
  }

  const shown = computed(
    () =>
      notice.value && {
        text: notice.value.text,
        tone: notice.value.tone,
        canUndo: notice.value.undo !== undefined,
      },
  );
  return { notice, shown, say, undo, dismiss };
});
