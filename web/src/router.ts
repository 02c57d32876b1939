import { createRouter, createWebHistory } from 'vue-router';
import { useNotice } from './stores/notice.ts';

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    { path: '/', redirect: '/bench' },
    {
      path: '/bench',
      component: () => import('./pages/day/DayPage.vue'),
      meta: { title: 'Bench' },
    },
    {
      path: '/bench/week',
      component: () => import('./pages/day/WeekPage.vue'),
      meta: { title: 'Week' },
    },
    {
      path: '/bench/calendar',
      component: () => import('./pages/day/CalendarPage.vue'),
      meta: { title: 'Calendar and calls' },
    },
    {
      path: '/plan',
      component: () => import('./pages/plan/PlanPage.vue'),
      meta: { title: 'Plan' },
    },
    {
      path: '/plan/recipe',
      component: () => import('./pages/recipeText/RecipeReaderPage.vue'),
      meta: { title: 'Recipes' },
    },
    {
      path: '/plan/samples',
      component: () => import('./pages/samples/SamplesPage.vue'),
      meta: { title: 'Small jars', least: 'brews' },
    },
    {
      path: '/steep',
      component: () => import('./pages/steep/SteepPage.vue'),
      meta: { title: 'Steep' },
    },
    {
      path: '/steep/:id',
      component: () => import('./pages/steep/BatchPage.vue'),
      meta: { title: 'At the bench', bare: true },
    },
    {
      path: '/jugs',
      component: () => import('./pages/jugs/JugsPage.vue'),
      meta: { title: 'Jugs' },
    },
    {
      path: '/jugs/new',
      component: () => import('./pages/jugs/NewJugPage.vue'),
      meta: { title: 'A jug from elsewhere', least: 'brews' },
    },
    {
      path: '/jugs/:id',
      component: () => import('./pages/jugs/JugPage.vue'),
      meta: { title: 'One jug' },
    },
    {
      path: '/pour',
      component: () => import('./pages/pour/PourPage.vue'),
      meta: { title: 'Pour' },
    },
    {
      path: '/pour/quick',
      component: () => import('./pages/quick/QuickPage.vue'),
      meta: { title: 'Quick dilution' },
    },
    {
      path: '/pour/menu',
      component: () => import('./pages/pour/MenuPage.vue'),
      meta: { title: 'The menu' },
    },
    {
      path: '/pour/card',
      component: () => import('./pages/pour/CardPage.vue'),
      meta: { title: 'Build card' },
    },
    {
      path: '/shelf/house-recipes',
      component: () => import('./pages/houseRecipes/HouseRecipesPage.vue'),
      meta: { title: 'House recipes', least: 'brews' },
    },
    {
      path: '/shelf/ingredients',
      component: () => import('./pages/ingredients/IngredientsPage.vue'),
      meta: { title: 'Ingredients', least: 'brews' },
    },
    {
      path: '/shelf/instruments',
      component: () => import('./pages/instruments/InstrumentsPage.vue'),
      meta: { title: 'Instruments' },
    },
    {
      path: '/log',
      component: () => import('./pages/log/LogPage.vue'),
      meta: { title: 'Log' },
    },
    {
      path: '/log/batch/:id',
      component: () => import('./pages/log/EntryPage.vue'),
      meta: { title: 'A batch' },
    },
    {
      path: '/log/learning',
      component: () => import('./pages/log/LearningPage.vue'),
      meta: { title: 'Predicted and found' },
    },
    {
      path: '/log/compare',
      component: () => import('./pages/log/ComparePage.vue'),
      meta: { title: 'Two batches' },
    },
    {
      path: '/log/tasting',
      component: () => import('./pages/log/TastingPage.vue'),
      meta: { title: 'Tasting' },
    },
    {
      path: '/log/import',
      component: () => import('./pages/log/ImportPage.vue'),
      meta: { title: 'An old log', least: 'leads' },
    },
    {
      path: '/log/cost',
      component: () => import('./pages/log/CostPage.vue'),
      meta: { title: 'Cost', least: 'brews' },
    },
    {
      path: '/label',
      component: () => import('./pages/label/LabelPage.vue'),
      meta: { title: 'Label' },
    },
    {
      path: '/shelf',
      component: () => import('./pages/shelf/ShelfPage.vue'),
      meta: { title: 'Shelf', least: 'brews' },
    },
    {
      path: '/shelf/people',
      component: () => import('./pages/people/PeoplePage.vue'),
      meta: { title: 'People', least: 'leads' },
    },
    {
      path: '/shelf/backups',
      component: () => import('./pages/backups/BackupsPage.vue'),
      meta: { title: 'Backups', least: 'leads' },
    },
    {
      path: '/set-up',
      component: () => import('./pages/setUp/SetUpPage.vue'),
      meta: { title: 'Set up', least: 'leads' },
    },
    {
      path: '/sign-in',
      component: () => import('./pages/people/SignInPage.vue'),
      meta: { title: 'Sign in' },
    },
    { path: '/:rest(.*)*', redirect: '/bench' },
  ],
});

// A page that does not come: the program was updated meanwhile, and begins anew; or the server is away,
// and whoever asked stays where they are. What is typed is kept either way.
router.onError(async (_error, to) => {
  const isThere = await fetch('/api/health').then(
    ({ ok }) => ok,
    () => false,
  );
  if (isThere) location.assign(to.fullPath);
  else
    useNotice().say({
      tone: 'wrong',
      text: 'The server does not answer, and this page is not on this tablet yet.',
    });
});

/** Fetches the pages that are not open yet, one after another, while nothing else is to be done. */
export function fetchAhead(): void {
  const waiting = router
    .getRoutes()
    .map(({ components }) => components?.['default'])
    .filter((load): load is () => Promise<unknown> => typeof load === 'function');
  const idle = window.requestIdleCallback?.bind(window) ?? ((work) => setTimeout(work, 500));
  const next = (): void => {
    const load = waiting.shift();
    // One that does not come is asked for again when it is opened.
    if (load)
      void load()
        .catch(() => undefined)
        .finally(() => idle(next));
  };
  idle(next);
}
