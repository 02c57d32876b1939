import {
  houseRecipeSchema,
  ingredientsResponse,
  openedSchema,
  pantryItemSchema,
} from '@ratio/core/pantry';
import { documentEndpoints, endpoint, type Endpoint } from '../endpoint.ts';
import type { PantryService } from './service.ts';

/** What can be poured, and the house recipes. */
export const pantryEndpoints = (pantry: PantryService): readonly Endpoint[] => [
  endpoint({
    method: 'get',
    path: '/api/ingredients',
    summary:
      'Everything that can be poured by id, built in, own and house-made, with composition per 100 g, source and allergens',
    answer: ingredientsResponse,
    isStored: true,
    handle: async ({ caller }) => Object.values((await pantry.resolved(caller)).pantry),
  }),
  ...documentEndpoints({
    path: '/api/pantry',
    schema: pantryItemSchema,
    list: 'The shop’s own ingredients, and its own values for built-in ones',
    save: 'Change an ingredient, or put a new one on the shelf; needs If-Match, 0 for a new one',
    remove: 'Take an own ingredient off the shelf; needs If-Match',
    documents: pantry.items,
  }),
  ...documentEndpoints({
    path: '/api/house-recipes',
    schema: houseRecipeSchema,
    list: 'House recipes, by name',
    save: 'Change a house recipe, or add one; needs If-Match, 0 for a new one',
    remove: 'Take a house recipe away; needs If-Match',
    documents: pantry.houseRecipes,
  }),
  ...documentEndpoints({
    path: '/api/opened',
    schema: openedSchema,
    list: 'What stands open or was made, by the id of the ingredient, and since when',
    save: 'Open a package, or make a house recipe; needs If-Match, 0 where none stands open',
    remove: 'It is used up or thrown away; needs If-Match',
    documents: pantry.opened,
  }),
];
