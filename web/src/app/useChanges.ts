import { NOUNS, type Change, type Noun } from '@ratio/core/document';
import { useEventListener, useTimeoutFn } from '@vueuse/core';
import { onScopeDispose, watch } from 'vue';
import { useDays } from '../day/index.ts';
import { useDrinks } from '../drink/index.ts';
import { useBatches, useJugs } from '../events/index.ts';
import { useInstrumentFeed } from '../instruments/index.ts';
import { useLog } from '../log/index.ts';
import { usePantryDocuments } from '../pantry/index.ts';
import { useDraft } from '../plan/index.ts';
import { useSamples } from '../samples/index.ts';
import { useShop } from '../shop/index.ts';
import { firstReadAfter, useOutbox } from '../sync/index.ts';
import { whenIdle } from '../ui/browser/index.ts';

const OPEN_AGAIN_MS = 5000;
/** Nouns that change all day. Batches come before drafts: a draft may have become a batch. */
const SOON_STALE: readonly Noun[] = ['batches', 'drafts', 'jugs'];

/** A change of one document, or of any of a noun where changes were missed. */
type SomethingChanged = Pick<Change, 'noun'> & Partial<Change>;

/** Reads again what another page changed, and everything after a dropped connection. */
export function useChanges(isReady: () => boolean = () => true): void {
  const feed = useInstrumentFeed();
  const stores: Readonly<Record<Noun, { load: (id?: string) => Promise<void> }>> = {
    batches: useBatches(),
    jugs: useJugs(),
    drafts: useDraft(),
    shelf: useShop(),
    samples: useSamples(),
    pantry: usePantryDocuments(),
    drinks: useDrinks(),
    days: useDays(),
    tastings: useLog(),
    instruments: { load: () => feed.changed.trigger().then(() => undefined) },
  };
  const outbox = useOutbox();
  const reload = (noun: Noun, id?: string) => stores[noun].load(id).catch(() => undefined);
  async function reloadInOrder(nouns: readonly Noun[]): Promise<void> {
    for (const noun of nouns) await reload(noun);
  }
  const reloadAll = (): void => NOUNS.forEach((noun) => void reload(noun));
  let source: EventSource | null = null;
  let dropped = false;
  /** The number of the last change that this page knows; null where it is not known. */
  let after: string | null = null;

  function open(): void {
    // Not useEventSource of VueUse: of two changes that arrive together it keeps the second only.
    const watches = feed.watching > 0;
    after ??= firstReadAfter();
    const query = new URLSearchParams({
      ...(watches && { with: 'instruments' }),
      ...(after !== null && !dropped && { after }),
    }).toString();
    const next = new EventSource(['/api/changes', query].filter(Boolean).join('?'));
    if (watches)
      next.addEventListener('instrument', ({ data }: MessageEvent<string>) => {
        void feed.said.trigger(data);
      });
    next.onmessage = ({ data, lastEventId }: MessageEvent<string>) => {
      if (lastEventId) after = lastEventId;
      const { noun, id } = JSON.parse(data) as SomethingChanged;
      // A newer server may have nouns that this page does not know.
      if (noun in stores) void reload(noun, id);
    };
    next.onerror = () => {
      dropped = true;
      // A refusal ends an event source; after a dropped connection it reconnects by itself.
      if (next.readyState === EventSource.CLOSED) again.start();
    };
    next.onopen = () => {
      if (dropped) {
        dropped = false;
        void outbox.send().then(reloadAll);
        return;
      }
      // The stream does not repeat earlier states of instruments.
      if (watches) void reload('instruments');
      // Changes since the first read arrive on the stream, where its number is known.
      if (after === null) void reloadInOrder(SOON_STALE);
    };
    source = next;
  }
  const again = useTimeoutFn(open, OPEN_AGAIN_MS, { immediate: false });
  watch(
    isReady,
    (ready) => {
      if (!ready) return;
      whenIdle(() => {
        if (!source) open();
        void useJugs()
          .loadLedger()
          .catch(() => undefined);
      });
    },
    { immediate: true },
  );
  // One stream for everything: a browser opens few connections at once.
  watch(
    () => feed.watching > 0,
    () => {
      if (!source) return;
      source.close();
      open();
    },
  );
  onScopeDispose(() => source?.close());
  useEventListener('online', reloadAll);
}
