import { defineAsyncComponent, type Component } from 'vue';
import FailedPart from './FailedPart.vue';

/**
 * A component that is loaded when it is first shown. Where it cannot be loaded it offers to reload the page:
 * a browser does not import a script again that failed.
 *
 * @param load imports it; to Vue’s types a generic component is no `Component`
 */
export const lazyComponent = <T>(load: () => Promise<{ default: T }>): T =>
  defineAsyncComponent({
    loader: load as () => Promise<{ default: Component }>,
    errorComponent: FailedPart,
  }) as T;
