import type { Page } from '../ui/browser/index.ts';

export const setUpPages: readonly Page[] = [
  { path: '/set-up', load: () => import('./SetUpPage.vue'), title: 'Set up', least: 'leads' },
];
