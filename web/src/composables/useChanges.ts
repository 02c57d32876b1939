import { changeSchema, NOUNS, type Noun } from '@ratio/core/document';
import { useEventListener } from '@vueuse/core';
import { onScopeDispose } from 'vue';
import { useBatches } from '../stores/batches.ts';
import { useDraft } from '../stores/draft.ts';
import { useDrinks } from '../stores/drinks.ts';
import { useJugs } from '../stores/jugs.ts';
import { useOutbox } from '../stores/outbox.ts';
import { usePantry } from '../stores/pantry.ts';
import { useSamples } from '../stores/samples.ts';
import { useShop } from '../stores/shop.ts';

/** Reads again what another page changed, and everything after a dropped connection. */
export function useChanges(): void {
  const stores: Readonly<Record<Noun, { load: () => Promise<void> }>> = {
    batches: useBatches(),
    jugs: useJugs(),
    drafts: useDraft(),
    shelf: useShop(),
    samples: useSamples(),
    pantry: usePantry(),
    drinks: useDrinks(),
  };
  const outbox = useOutbox();
  const reload = (noun: Noun) => stores[noun].load().catch(() => undefined);
  const reloadAll = (): void => NOUNS.forEach((noun) => void reload(noun));
  // Not VueUse's: where two changes come at once it holds the second alone.
  const source = new EventSource('/api/changes');
  let dropped = false;
  source.onmessage = ({ data }: MessageEvent<string>) => {
    const change = changeSchema.safeParse(JSON.parse(data));
    if (change.success) void reload(change.data.noun);
  };
  source.onerror = () => (dropped = true);
  source.onopen = () => {
    if (!dropped) return;
    dropped = false;
    void outbox.send().then(reloadAll);
  };
  onScopeDispose(() => source.close());
  useEventListener('online', reloadAll);
}
