import type { Page } from '../ui/browser/index.ts';

export const weekPages: readonly Page[] = [
  { path: '/bench/week', load: () => import('./WeekPage.vue'), title: 'Week' },
];
