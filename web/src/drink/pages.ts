import type { Page } from '../ui/browser/index.ts';

export const drinkPages: readonly Page[] = [
  { path: '/pour', load: () => import('./PourPage.vue'), title: 'Pour' },
  { path: '/pour/quick', load: () => import('./QuickPage.vue'), title: 'Quick dilution' },
  { path: '/pour/menu', load: () => import('./MenuPage.vue'), title: 'The menu' },
  { path: '/pour/card', load: () => import('./CardPage.vue'), title: 'Build card' },
];
