import { onScopeDispose } from 'vue';
import { useBatches } from '../stores/batches.ts';
import { useDraft } from '../stores/draft.ts';
import { useJugs } from '../stores/jugs.ts';
import { usePantry } from '../stores/pantry.ts';
import { useSamples } from '../stores/samples.ts';
import { useShop } from '../stores/shop.ts';

/** Reads again what another page changed, and everything after a dropped connection. */
export function useChanges(): void {
  const stores = {
    batches: useBatches(),
    jugs: useJugs(),
    drafts: useDraft(),
    shelf: useShop(),
    samples: useSamples(),
    pantry: usePantry(),
  };
  const source = new EventSource('/api/changes');
  let dropped = false;
  const reload = (noun: keyof typeof stores) => stores[noun].load().catch(() => undefined);
  const reloadAll = (): void => {
    for (const noun of Object.keys(stores) as (keyof typeof stores)[]) void reload(noun);
  };
  source.onmessage = ({ data }: MessageEvent<string>) => {
    const { noun } = JSON.parse(data) as { noun: keyof typeof stores };
    void reload(noun);
  };
  source.onerror = () => (dropped = true);
  source.onopen = () => {
    if (!dropped) return;
    dropped = false;
    reloadAll();
  };
  window.addEventListener('online', reloadAll);
  onScopeDispose(() => {
    source.close();
    window.removeEventListener('online', reloadAll);
  });
}
