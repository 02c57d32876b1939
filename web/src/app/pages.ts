import { backupsPages } from '../backups/index.ts';
import { dayPages } from '../day/index.ts';
import { drinkPages } from '../drink/index.ts';
import { houseRecipePages } from '../houseRecipe/index.ts';
import { instrumentsPages } from '../instruments/index.ts';
import { jugPages } from '../jug/index.ts';
import { labelPages } from '../label/index.ts';
import { logPages } from '../log/index.ts';
import { pantryPages } from '../pantry/index.ts';
import { peoplePages } from '../people/index.ts';
import { planPages } from '../plan/index.ts';
import { recipePages } from '../recipe/index.ts';
import { samplesPages } from '../samples/index.ts';
import { setUpPages } from '../setUp/index.ts';
import { shelfPages } from '../shelf/index.ts';
import { steepPages } from '../steep/index.ts';
import { weekPages } from '../week/index.ts';
import type { Page } from '../ui/browser/index.ts';

/** Every page, in the order of the stations. */
export const PAGES: readonly Page[] = [
  ...dayPages,
  ...weekPages,
  ...planPages,
  ...recipePages,
  ...samplesPages,
  ...steepPages,
  ...jugPages,
  ...drinkPages,
  ...houseRecipePages,
  ...pantryPages,
  ...instrumentsPages,
  ...logPages,
  ...labelPages,
  ...shelfPages,
  ...peoplePages,
  ...backupsPages,
  ...setUpPages,
];
