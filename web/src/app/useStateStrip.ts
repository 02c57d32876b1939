import { computed } from 'vue';
import { fieldsOf } from './heldFields.ts';
import { duration } from '../format/index.ts';
import { useDraft } from '../plan/index.ts';
import { useShop } from '../shop/index.ts';
import { useConnection, useOutbox, usePhotos } from '../sync/index.ts';

/**
 * What stands between this tablet and the server, as the strip under the line shows it.
 *
 * @param refresh reads the shop again
 */
export function useStateStrip(refresh: () => Promise<unknown>) {
  const outbox = useOutbox();
  const connection = useConnection();
  const shop = useShop();
  const drafts = useDraft();
  const photos = usePhotos();
  const heldBy = (id: string) => outbox.held.find(({ write }) => write.id === id);

  const strip = computed(() => ({
    stopped: outbox.stopped || (photos.isStopped ? 'The server does not answer.' : ''),
    away: connection.away,
    waiting: [...outbox.waiting.map(({ what }) => what), ...photos.waiting.map(({ what }) => what)],
    draftRefused: drafts.refusal,
    held: outbox.held.map((held) => ({
      id: held.write.id,
      what: held.write.what,
      reason: held.reason,
      fields: fieldsOf(held),
      /** A document can be written over; what was done to a jug cannot. */
      canInsist: held.write.version !== undefined,
    })),
    clockBehind: shop.behindMs > 0 ? duration(Math.round(shop.behindMs / 60_000)) : '',
  }));
  /** Whether there is anything to say. */
  const isNews = computed(() => {
    const { away, stopped, held, clockBehind, draftRefused } = strip.value;
    return (
      away || held.length > 0 || [stopped, clockBehind, draftRefused].some((text) => text !== '')
    );
  });

  return {
    strip,
    isNews,
    tryNow: async (): Promise<void> => {
      await outbox.send();
      await photos.send();
      await drafts.save();
      await refresh();
    },
    insist(id: string): void {
      const held = heldBy(id);
      if (held) outbox.insist(held);
    },
    discard(id: string): void {
      const held = heldBy(id);
      if (held) outbox.discard(held);
    },
  };
}
