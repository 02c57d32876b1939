import type { Page } from '../ui/browser/index.ts';

export const peoplePages: readonly Page[] = [
  {
    path: '/shelf/people',
    load: () => import('./PeoplePage.vue'),
    title: 'People',
    least: 'leads',
  },
  { path: '/sign-in', load: () => import('./SignInPage.vue'), title: 'Sign in' },
];
