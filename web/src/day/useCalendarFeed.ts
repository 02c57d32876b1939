import { ref } from 'vue';
import { ask, sentenceOf, useNotice, useSession } from '../sync/index.ts';

interface Feeds {
  readonly feeds: readonly string[];
}

/** The secret address of the calendar feed; leads see it, and change it. */
export function useCalendarFeed() {
  const session = useSession();
  const notice = useNotice();
  const feeds = ref<readonly string[]>([]);
  const isLead = session.can('leads');

  async function load(): Promise<void> {
    if (!isLead) return;
    ({ feeds: feeds.value } = await ask<Feeds>('/api/calendar'));
  }
  void load().catch((error: unknown) => notice.say({ tone: 'wrong', text: sentenceOf(error) }));

  async function renew(): Promise<void> {
    const isFirst = feeds.value.length === 0;
    try {
      ({ feeds: feeds.value } = await ask<Feeds>('/api/calendar/key', { method: 'POST' }));
      notice.say({
        tone: 'done',
        text: isFirst
          ? 'The calendar has an address now.'
          : 'The calendar has a new address: the one before answers no more.',
      });
    } catch (error) {
      notice.say({ tone: 'wrong', text: sentenceOf(error) });
    }
  }
  return { feeds, isLead, renew };
}
