import type { Jug } from '@ratio/core/jug';
import { createPinia } from 'pinia';
import { createApp, effectScope } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';
import { useDrinks } from '../src/drink/drinks.ts';
import { useJugs } from '../src/events/jugs.ts';
import { usePantry } from '../src/pantry/pantry.ts';
import { useShop } from '../src/shop/shop.ts';
import type { Handler, installBrowser } from './browser.ts';
import { jugOf } from './documents.ts';
import { lidoShelf } from './lidoShelf.ts';

/**
 * Runs a page's composable as a page would: in an application with stores and a route, the lido's
 * shelf and its jugs fetched.
 *
 * @param input.path where the page is, with its query
 * @param input.answers what the server says before the lido's shelf is asked; null to pass on
 */
export async function withApp<T>(input: {
  browser: ReturnType<typeof installBrowser>;
  path: string;
  use: () => T;
  jugs?: readonly Jug[];
  answers?: (request: Parameters<Handler>[0]) => ReturnType<Handler> | null;
}): Promise<T> {
  const { browser, path, use, jugs = [jugOf()], answers } = input;
  browser.storage.clear();
  browser.asked.splice(0);
  browser.answer((request) => {
    const own = answers?.(request);
    if (own) return own;
    if (request.path === '/api/jugs') return { status: 200, body: jugs };
    return lidoShelf(request);
  });
  const nothing = { render: () => null };
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/jugs/:id', component: nothing },
      { path: '/log/batch/:id', component: nothing },
      { path: '/:rest(.*)*', component: nothing },
    ],
  });
  const app = createApp(nothing).use(createPinia()).use(router);
  await router.push(path);
  const load = app.runWithContext(() => [useShop(), usePantry(), useDrinks(), useJugs()]);
  await Promise.all(load.map((store) => store.load()));
  return app.runWithContext(() => effectScope().run(use)!);
}
