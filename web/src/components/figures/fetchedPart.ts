import { defineAsyncComponent, type Component } from 'vue';
import { whenIdle } from '../../composables/whenIdle.ts';

const ASK_AGAIN_MS = 3000;

/**
 * A component that is fetched when it is shown; where the server is away, as soon as it is back. To Vue’s
 * types one that is generic is no `Component`.
 */
export const fetchedPart = <T>(fetchIt: () => Promise<{ default: T }>): T =>
  defineAsyncComponent({
    loader: fetchIt as () => Promise<{ default: Component }>,
    onError: (_, askAgain) => void setTimeout(askAgain, ASK_AGAIN_MS),
  }) as T;

/**
 * A component that a page which opens does not need, and that has to be here once the server is away:
 * fetched as soon as there is nothing else to do, or when it is shown.
 */
export function fetchedAhead<T>(fetchIt: () => Promise<{ default: T }>): T {
  whenIdle(() => void fetchIt().catch(() => null));
  return fetchedPart(fetchIt);
}
