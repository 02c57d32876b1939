import { onScopeDispose } from 'vue';
import { useBatches } from './batches.ts';
import { useJugs } from './jugs.ts';

/** Reads again what another page changed, and everything after a dropped connection. */
export function useChanges(): void {
  const stores = { batches: useBatches(), jugs: useJugs() };
  const source = new EventSource('/api/changes');
  let dropped = false;
  const reload = (noun: keyof typeof stores) => stores[noun].load().catch(() => undefined);
  source.onmessage = ({ data }: MessageEvent<string>) => {
    const { noun } = JSON.parse(data) as { noun: keyof typeof stores };
    void reload(noun);
  };
  source.onerror = () => (dropped = true);
  source.onopen = () => {
    if (!dropped) return;
    dropped = false;
    void reload('batches');
    void reload('jugs');
  };
  onScopeDispose(() => source.close());
}
