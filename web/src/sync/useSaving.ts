import { sentenceOf } from './client.ts';
import { inOrder } from './inOrder.ts';
import { useNotice } from './notice.ts';

/**
 * Changes of stored things: one after another, each said with an undo; one that fails is said with
 * its reason, and what is stored is read again.
 *
 * @param reload reads again what is stored
 * @returns makes a change; whether it was stored
 */
export function useSaving(reload: () => Promise<unknown>) {
  const notice = useNotice();
  const write = inOrder();
  return (input: {
    /** Writes; says what was done, and how it is undone. */
    does: () => Promise<{ text: string; undo?: () => Promise<unknown> }>;
    /** What is said in front of the reason where it fails. */
    failed?: string;
  }): Promise<boolean> =>
    write(async () => {
      try {
        const { text, undo } = await input.does();
        notice.say({
          tone: 'done',
          text,
          ...(undo ? { undo: async () => void (await undo()) } : {}),
        });
        return true;
      } catch (error) {
        const reason = sentenceOf(error);
        const text = input.failed === undefined ? reason : `${input.failed} ${reason}`;
        notice.say({ tone: 'wrong', text });
        await reload().catch(() => undefined);
        return false;
      }
    });
}
