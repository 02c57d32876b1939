import { createRouter, createWebHistory, START_LOCATION } from 'vue-router';
import { PAGES } from './pages.ts';
import { useNotice } from '../sync/index.ts';
import { whenIdle } from '../ui/browser/index.ts';

export const router = createRouter({
  history: createWebHistory(),
  // A page that opens is at its top already: to scroll it there would lay it out once more.
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

// A page that does not come: the program was updated meanwhile, and begins anew; or the server is away,
// and whoever asked stays where they are. What is typed is kept either way.
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

/** Keeps every file, so that pages open without the server. On plain HTTP no browser does that. */
const keepFiles = async (): Promise<ServiceWorkerRegistration | undefined> =>
  import.meta.env.PROD && 'serviceWorker' in navigator
    ? await navigator.serviceWorker.register('/sw.js').catch(() => undefined)
    : undefined;

/**
 * Fetches every file that is not here yet, beside the page, so that it is here without the server. A page
 * is read once somebody is at work here, and stands at once when it is opened then.
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
