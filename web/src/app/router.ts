import { createRouter, createWebHistory, START_LOCATION } from 'vue-router';
import { PAGES } from './pages.ts';
import { useNotice } from '../sync/index.ts';
import { whenIdle } from '../ui/browser/index.ts';

export const router = createRouter({
  history: createWebHistory(),
  // A page that opens is at its top already; to scroll it there would cause one more layout.
  scrollBehavior: (_to, from, saved) => saved ?? (from === START_LOCATION ? false : { top: 0 }),
  routes: [
    { path: '/', redirect: '/bench' },
    ...PAGES.map(({ path, load, ...meta }) => ({ path, component: load, meta })),
    {
      path: '/:rest(.*)*',
      component: () => import('./LostPage.vue'),
      meta: { title: 'No such page' },
    },
  ],
});

// A page cannot be loaded. If the server answers, the application was updated: reload. If it does not, stay on
// the current page. Typed text is stored in both cases.
router.onError(async (_error, to) => {
  const isThere = await fetch('/api/health').then(
    ({ ok }) => ok,
    () => false,
  );
  if (isThere) location.assign(to.fullPath);
  else
    useNotice().say({
      tone: 'wrong',
      text: 'The server does not answer, and this page is not on this tablet yet.',
    });
});

/** Registers the service worker, so that pages open without the server. Browsers do not allow it on plain HTTP. */
const keepFiles = async (): Promise<ServiceWorkerRegistration | undefined> =>
  import.meta.env.PROD && 'serviceWorker' in navigator
    ? await navigator.serviceWorker.register('/sw.js').catch(() => undefined)
    : undefined;

/**
 * Fetches every file in the background, so that pages open without the server. The scripts of the other pages
 * are loaded after the first touch or key, so that they open at once.
 */
export function fetchAhead(): void {
  whenIdle(async () => {
    if (!(await keepFiles()))
      new Worker(new URL('./fetchAhead.worker.ts', import.meta.url), { type: 'module' });
  });
  const isAtWork = new AbortController();
  const readPages = (): void => {
    isAtWork.abort();
    for (const { load } of PAGES) whenIdle(() => void load().catch(() => undefined));
  };
  for (const event of ['pointermove', 'pointerdown', 'keydown'])
    addEventListener(event, readPages, { signal: isAtWork.signal });
}
