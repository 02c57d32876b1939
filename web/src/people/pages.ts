import type { Page } from '../ui/browser/index.ts';

/** The page to sign in, which the application shows in place of any other. */
export const loadSignIn = () => import('./SignInPage.vue');

export const peoplePages: readonly Page[] = [
  {
    path: '/shelf/people',
    load: () => import('./PeoplePage.vue'),
    title: 'People',
    least: 'leads',
  },
  { path: '/sign-in', load: loadSignIn, title: 'Sign in' },
];
