import type { Page } from '../ui/browser/index.ts';

export const dayPages: readonly Page[] = [
  { path: '/bench', load: () => import('./DayPage.vue'), title: 'Bench' },
  {
    path: '/bench/calendar',
    load: () => import('./CalendarPage.vue'),
    title: 'Calendar and calls',
  },
];
