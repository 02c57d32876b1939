import { defineAsyncComponent, type Component } from 'vue';
import { whenIdle } from './whenIdle.ts';

/**
 * A component that a page which opens does not need, and that has to be here once the server is away:
 * fetched as soon as there is nothing else to do, or when it is shown.
 */
export function fetchedAhead<T extends Component>(fetchIt: () => Promise<{ default: T }>): T {
  whenIdle(() => void fetchIt().catch(() => null));
  return defineAsyncComponent(fetchIt);
}
