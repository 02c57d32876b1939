import type { Page } from '../ui/browser/index.ts';

export const pantryPages: readonly Page[] = [
  {
    path: '/shelf/ingredients',
    load: () => import('./IngredientsPage.vue'),
    title: 'Ingredients',
    least: 'brews',
  },
];
