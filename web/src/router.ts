import { createRouter, createWebHistory } from 'vue-router';
import { whenIdle } from './composables/whenIdle.ts';
import { PAGES } from './pages.ts';
import { useNotice } from './stores/notice.ts';

const load = import.meta.glob('./pages/**/*Page.vue');

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    { path: '/', redirect: '/bench' },
    ...PAGES.map(({ path, file, ...meta }) => ({
      path,
      component: load[`./pages/${file}.vue`]!,
      meta,
    })),
    { path: '/:rest(.*)*', redirect: '/bench' },
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

/** Files that one idle moment asks for: more of them would be a moment too long. */
const AT_ONCE = 8;

/**
 * Fetches every file that is not here yet while nothing else is to be done, so that it is here without the
 * server. A page is read once somebody is at work here, and stands at once when it is opened then.
 */
export async function fetchAhead(): Promise<void> {
  const isAtWork = new AbortController();
  const readPages = (): void => {
    isAtWork.abort();
    for (const read of Object.values(load)) whenIdle(() => void read().catch(() => undefined));
  };
  for (const event of ['pointermove', 'pointerdown', 'keydown'])
    addEventListener(event, readPages, { signal: isAtWork.signal });
  const answer = await fetch('/later-files.json').catch(() => null);
  const files = answer?.ok ? ((await answer.json()) as readonly string[]) : [];
  for (let i = 0; i < files.length; i += AT_ONCE)
    whenIdle(() => document.head.append(...files.slice(i, i + AT_ONCE).map(ahead)));
}

const ahead = (href: string): HTMLLinkElement =>
  Object.assign(document.createElement('link'), {
    rel: 'prefetch',
    as: href.endsWith('.css') ? 'style' : 'script',
    crossOrigin: '',
    href,
  });
