import { defineAsyncComponent, type Component } from 'vue';

const RETRY_MS = 3000;

/**
 * A component that is loaded when it is first shown; while the server is away it is tried again.
 *
 * @param load imports it; to Vue’s types a generic component is no `Component`
 */
export const lazyComponent = <T>(load: () => Promise<{ default: T }>): T =>
  defineAsyncComponent({
    loader: load as () => Promise<{ default: Component }>,
    onError: (_, retry) => void setTimeout(retry, RETRY_MS),
  }) as T;
