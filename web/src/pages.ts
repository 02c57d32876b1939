import type { Role } from '@ratio/core/shop';

/** A page: its address, its file below `pages`, and what stands above it. */
export interface PageEntry {
  readonly path: string;
  readonly file: string;
  readonly title: string;
  /** What somebody may do at least who sees it; anybody where it is left out. */
  readonly least?: Role;
  /** Without the line of stations. */
  readonly bare?: true;
}

declare module 'vue-router' {
  interface RouteMeta {
    title?: string;
    least?: Role;
    bare?: true;
  }
}

export const PAGES: readonly PageEntry[] = [
  { path: '/bench', file: 'day/DayPage', title: 'Bench' },
  { path: '/bench/week', file: 'day/WeekPage', title: 'Week' },
  { path: '/bench/calendar', file: 'day/CalendarPage', title: 'Calendar and calls' },
  { path: '/plan', file: 'plan/PlanPage', title: 'Plan' },
  { path: '/plan/recipe', file: 'recipeText/RecipeReaderPage', title: 'Recipes' },
  { path: '/plan/samples', file: 'samples/SamplesPage', title: 'Small jars', least: 'brews' },
  { path: '/steep', file: 'steep/SteepPage', title: 'Steep' },
  { path: '/steep/:id', file: 'steep/BatchPage', title: 'At the bench', bare: true },
  { path: '/jugs', file: 'jugs/JugsPage', title: 'Jugs' },
  { path: '/jugs/new', file: 'jugs/NewJugPage', title: 'A jug from elsewhere', least: 'brews' },
  { path: '/jugs/:id', file: 'jugs/JugPage', title: 'One jug' },
  { path: '/pour', file: 'pour/PourPage', title: 'Pour' },
  { path: '/pour/quick', file: 'quick/QuickPage', title: 'Quick dilution' },
  { path: '/pour/menu', file: 'pour/MenuPage', title: 'The menu' },
  { path: '/pour/card', file: 'pour/CardPage', title: 'Build card' },
  {
    path: '/shelf/house-recipes',
    file: 'houseRecipes/HouseRecipesPage',
    title: 'House recipes',
    least: 'brews',
  },
  {
    path: '/shelf/ingredients',
    file: 'ingredients/IngredientsPage',
    title: 'Ingredients',
    least: 'brews',
  },
  { path: '/shelf/instruments', file: 'instruments/InstrumentsPage', title: 'Instruments' },
  { path: '/log', file: 'log/LogPage', title: 'Log' },
  { path: '/log/batch/:id', file: 'log/EntryPage', title: 'A batch' },
  { path: '/log/learning', file: 'log/LearningPage', title: 'Predicted and found' },
  { path: '/log/compare', file: 'log/ComparePage', title: 'Two batches' },
  { path: '/log/tasting', file: 'log/TastingPage', title: 'Tasting' },
  { path: '/log/import', file: 'log/ImportPage', title: 'An old log', least: 'leads' },
  { path: '/log/cost', file: 'log/CostPage', title: 'Cost', least: 'brews' },
  { path: '/label', file: 'label/LabelPage', title: 'Label' },
  { path: '/shelf', file: 'shelf/ShelfPage', title: 'Shelf', least: 'brews' },
  { path: '/shelf/people', file: 'people/PeoplePage', title: 'People', least: 'leads' },
  { path: '/shelf/backups', file: 'backups/BackupsPage', title: 'Backups', least: 'leads' },
  { path: '/set-up', file: 'setUp/SetUpPage', title: 'Set up', least: 'leads' },
  { path: '/sign-in', file: 'people/SignInPage', title: 'Sign in' },
];
