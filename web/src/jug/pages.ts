import type { Page } from '../ui/browser/index.ts';

export const jugPages: readonly Page[] = [
  { path: '/jugs', load: () => import('./JugsPage.vue'), title: 'Jugs' },
  {
    path: '/jugs/new',
    load: () => import('./NewJugPage.vue'),
    title: 'A jug from elsewhere',
    least: 'brews',
  },
  { path: '/jugs/:id', load: () => import('./JugPage.vue'), title: 'One jug' },
];
