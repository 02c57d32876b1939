import { createRouter, createWebHistory } from 'vue-router';
import JugPage from './pages/jugs/JugPage.vue';
import JugsPage from './pages/jugs/JugsPage.vue';
import NewJugPage from './pages/jugs/NewJugPage.vue';
import LabelPage from './pages/label/LabelPage.vue';
import PlanPage from './pages/plan/PlanPage.vue';
import CardPage from './pages/pour/CardPage.vue';
import MenuPage from './pages/pour/MenuPage.vue';
import PourPage from './pages/pour/PourPage.vue';
import QuickPage from './pages/quick/QuickPage.vue';
import BackupsPage from './pages/backups/BackupsPage.vue';
import PeoplePage from './pages/people/PeoplePage.vue';
import SetUpPage from './pages/setUp/SetUpPage.vue';
import SignInPage from './pages/people/SignInPage.vue';
import IngredientsPage from './pages/ingredients/IngredientsPage.vue';
import HouseRecipesPage from './pages/houseRecipes/HouseRecipesPage.vue';
import SamplesPage from './pages/samples/SamplesPage.vue';
import ShelfPage from './pages/shelf/ShelfPage.vue';
import SteepPage from './pages/steep/SteepPage.vue';
import RecipeReaderPage from './pages/recipeText/RecipeReaderPage.vue';

export const router = createRouter({
  history: createWebHistory(),
  scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
  routes: [
    { path: '/', redirect: '/plan' },
    { path: '/plan', component: PlanPage, meta: { title: 'Plan' } },
    { path: '/plan/recipe', component: RecipeReaderPage, meta: { title: 'Recipes' } },
    {
      path: '/plan/samples',
      component: SamplesPage,
      meta: { title: 'Small jars', least: 'brews' },
    },
    { path: '/steep', component: SteepPage, meta: { title: 'Steep' } },
    { path: '/jugs', component: JugsPage, meta: { title: 'Jugs' } },
    {
      path: '/jugs/new',
      component: NewJugPage,
      meta: { title: 'A jug from elsewhere', least: 'brews' },
    },
    { path: '/jugs/:id', component: JugPage, meta: { title: 'One jug' } },
    { path: '/pour', component: PourPage, meta: { title: 'Pour' } },
    { path: '/pour/quick', component: QuickPage, meta: { title: 'Quick dilution' } },
    { path: '/pour/menu', component: MenuPage, meta: { title: 'The menu' } },
    { path: '/pour/card', component: CardPage, meta: { title: 'Build card' } },
    {
      path: '/shelf/house-recipes',
      component: HouseRecipesPage,
      meta: { title: 'House recipes', least: 'brews' },
    },
    {
      path: '/shelf/ingredients',
      component: IngredientsPage,
      meta: { title: 'Ingredients', least: 'brews' },
    },
    { path: '/label', component: LabelPage, meta: { title: 'Label' } },
    { path: '/shelf', component: ShelfPage, meta: { title: 'Shelf', least: 'brews' } },
    { path: '/shelf/people', component: PeoplePage, meta: { title: 'People', least: 'leads' } },
    { path: '/shelf/backups', component: BackupsPage, meta: { title: 'Backups', least: 'leads' } },
    { path: '/set-up', component: SetUpPage, meta: { title: 'Set up', least: 'leads' } },
    { path: '/sign-in', component: SignInPage, meta: { title: 'Sign in' } },
    { path: '/:rest(.*)*', redirect: '/plan' },
  ],
});
router.afterEach(({ meta }) => {
  document.title = `${String(meta['title'])} · Ratio`;
});
