import type { Page } from '../ui/browser/index.ts';

export const shelfPages: readonly Page[] = [
  { path: '/shelf', load: () => import('./ShelfPage.vue'), title: 'Shelf', least: 'brews' },
];
