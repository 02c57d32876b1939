import { releaseProxy, wrap, type Remote } from 'comlink';
import { onScopeDispose } from 'vue';

/** @returns what a worker offers; leaving the page stops it */
export function useThread<W>(thread: Worker): Remote<W> {
  const remote = wrap<W>(thread);
  onScopeDispose(() => {
    remote[releaseProxy]();
    thread.terminate();
  });
  return remote;
}
