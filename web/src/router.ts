import { createRouter, createWebHistory } from 'vue-router';
import JugsPage from './pages/jugs/JugsPage.vue';
import PlanPage from './pages/plan/PlanPage.vue';
import PourPage from './pages/pour/PourPage.vue';
import SamplesPage from './pages/samples/SamplesPage.vue';
import ShelfPage from './pages/shelf/ShelfPage.vue';
import SteepPage from './pages/steep/SteepPage.vue';
import ToldPage from './pages/told/ToldPage.vue';

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/plan' },
    { path: '/plan', component: PlanPage, meta: { title: 'Plan' } },
    { path: '/plan/told', component: ToldPage, meta: { title: 'Recipes as told' } },
    { path: '/plan/samples', component: SamplesPage, meta: { title: 'Small jars' } },
    { path: '/steep', component: SteepPage, meta: { title: 'Steep' } },
    { path: '/jugs', component: JugsPage, meta: { title: 'Jugs' } },
    { path: '/pour', component: PourPage, meta: { title: 'Pour' } },
    { path: '/shelf', component: ShelfPage, meta: { title: 'Shelf' } },
    { path: '/:rest(.*)*', redirect: '/plan' },
  ],
});
router.afterEach(({ meta }) => {
  document.title = `${String(meta['title'])} · Ratio`;
});
