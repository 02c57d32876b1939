import type { Page } from '../ui/browser/index.ts';

export const steepPages: readonly Page[] = [
  { path: '/steep', load: () => import('./SteepPage.vue'), title: 'Steep' },
  { path: '/steep/:id', load: () => import('./BatchPage.vue'), title: 'At the bench', bare: true },
];
