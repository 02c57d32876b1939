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
      meta: { ...meta },
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

/**
 * Fetches the files of pages that are not open yet, one after another while nothing else is to be done:
 * they are read when their page opens, and not before.
 */
export async function fetchAhead(): Promise<void> {
  const answer = await fetch('/page-files.json').catch(() => null);
  const filesOf: Readonly<Record<string, readonly string[]>> = answer?.ok
    ? await answer.json()
    : {};
  for (const href of new Set(Object.values(filesOf).flat()))
    whenIdle(() => document.head.append(ahead(href)));
}

const ahead = (href: string): HTMLLinkElement =>
  Object.assign(document.createElement('link'), {
    rel: 'prefetch',
    as: href.endsWith('.css') ? 'style' : 'script',
    crossOrigin: '',
    href,
  });
