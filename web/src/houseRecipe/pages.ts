import type { Page } from '../ui/browser/index.ts';

export const houseRecipePages: readonly Page[] = [
  {
    path: '/shelf/house-recipes',
    load: () => import('./HouseRecipesPage.vue'),
    title: 'House recipes',
    least: 'brews',
  },
];
