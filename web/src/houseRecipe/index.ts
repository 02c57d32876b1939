export { houseRecipePages } from './pages.ts';
