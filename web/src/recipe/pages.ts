import type { Page } from '../ui/browser/index.ts';

export const recipePages: readonly Page[] = [
  { path: '/plan/recipe', load: () => import('./RecipeReaderPage.vue'), title: 'Recipes' },
];
