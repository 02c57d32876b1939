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
 * Fetches every file that is not here yet, one after another while nothing else is to be done: each is
 * read when somebody asks for what is in it, and not before. Without the server they are here.
 */
export async function fetchAhead(): Promise<void> {
  const answer = await fetch('/later-files.json').catch(() => null);
  const files = answer?.ok ? ((await answer.json()) as readonly string[]) : [];
  for (const href of files) whenIdle(() => document.head.append(ahead(href)));
}

const ahead = (href: string): HTMLLinkElement =>
  Object.assign(document.createElement('link'), {
    rel: 'prefetch',
    as: href.endsWith('.css') ? 'style' : 'script',
    crossOrigin: '',
    href,
  });
