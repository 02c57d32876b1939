import type { Page } from '../ui/browser/index.ts';

export const labelPages: readonly Page[] = [
  { path: '/label', load: () => import('./LabelPage.vue'), title: 'Label' },
];
