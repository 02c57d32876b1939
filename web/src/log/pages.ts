import type { Page } from '../ui/browser/index.ts';

export const logPages: readonly Page[] = [
  { path: '/log', load: () => import('./LogPage.vue'), title: 'Log' },
  { path: '/log/batch/:id', load: () => import('./EntryPage.vue'), title: 'A batch' },
  { path: '/log/learning', load: () => import('./LearningPage.vue'), title: 'Predicted and found' },
  { path: '/log/compare', load: () => import('./ComparePage.vue'), title: 'Two batches' },
  { path: '/log/tasting', load: () => import('./TastingPage.vue'), title: 'Tasting' },
  {
    path: '/log/import',
    load: () => import('./ImportPage.vue'),
    title: 'An old log',
    least: 'leads',
  },
  { path: '/log/cost', load: () => import('./CostPage.vue'), title: 'Cost', least: 'brews' },
];
