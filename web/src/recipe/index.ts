export { recipePages } from './pages.ts';
