export { useDrinks } from './drinks.ts';
export { useMenu } from './menu.ts';
export { useEditedDrink } from './useEditedDrink.ts';
export { useMenuCount } from './useMenuCount.ts';
export { drinkPages } from './pages.ts';
