import type { HouseRecipe, Opened, PantryItem } from '@ratio/core/pantry';
import { defineStore } from 'pinia';
import { useDocuments } from '../sync/index.ts';

/** What the shop's pantry is written as: packages, house recipes, what stands open. */
export const usePantryDocuments = defineStore('pantryDocuments', () => {
  const items = useDocuments<PantryItem>('/api/pantry');
  const houseRecipes = useDocuments<HouseRecipe>('/api/house-recipes');
  const opened = useDocuments<Opened>('/api/opened');
  const load = async (): Promise<void> => {
    await Promise.all([items.load(), houseRecipes.load(), opened.load()]);
  };
  return {
    items: items.all,
    houseRecipes: houseRecipes.all,
    opened: opened.all,
    load,
    saveOpened: opened.save,
    removeOpened: opened.remove,
    /** How each is written; each reads the others again: what is taken away closes what stands open of it. */
    documents: { items: { ...items, load }, houseRecipes: { ...houseRecipes, load } },
  };
});
