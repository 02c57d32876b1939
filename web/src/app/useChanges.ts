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
/** What changes all day, a draft behind the batch that it has become. */
const SOON_STALE: readonly Noun[] = ['batches', 'drafts', 'jugs'];

/** One document, or any of them where somebody was not there to hear. */
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
  /** The last change that was heard of here; null before the first where nobody knows it. */
  let after: string | null = null;

  function open(): void {
    // Not VueUse's: where two changes come at once it holds the second alone.
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
      // A noun of a newer server is none of this page's.
      if (noun in stores) void reload(noun, id);
    };
    next.onerror = () => {
      dropped = true;
      // A refusal ends a source for good; a dropped connection it mends itself.
      if (next.readyState === EventSource.CLOSED) again.start();
    };
    next.onopen = () => {
      if (dropped) {
        dropped = false;
        void outbox.send().then(reloadAll);
        return;
      }
      // What an instrument said before is on no stream.
      if (watches) void reload('instruments');
      // What changed since the first reading comes by the stream, where it is known when that was.
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
  // One stream for all: a browser opens few of them at once.
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
