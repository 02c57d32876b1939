import type { Page } from '../ui/browser/index.ts';

export const planPages: readonly Page[] = [
  { path: '/plan', load: () => import('./PlanPage.vue'), title: 'Plan' },
];
