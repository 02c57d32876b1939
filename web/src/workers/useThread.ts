import { releaseProxy, wrap, type Remote } from 'comlink';
import { onScopeDispose } from 'vue';

/** @returns what a worker offers, which is started when it is asked for first; leaving the page stops it */
export function useThread<W>(start: () => Worker): () => Remote<W> {
  let stop = (): void => undefined;
  let remote: Remote<W> | undefined;
  onScopeDispose(() => stop());
  return () => {
    if (remote) return remote;
    const thread = start();
    const started = wrap<W>(thread);
    stop = () => {
      started[releaseProxy]();
      thread.terminate();
    };
    remote = started;
    return started;
  };
}
