import '@fontsource-variable/chivo';
import '@fontsource-variable/chivo-mono';
import './style/fonts.css';
import 'element-plus/theme-chalk/base.css';
import 'element-plus/theme-chalk/el-button.css';
import 'element-plus/theme-chalk/el-input.css';
import './style/tokens.css';
import './style/element.css';
import './style/base.css';
import './style/chart.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { nextTask } from './composables/nextTask.ts';
import { checkKept } from './kept/checkKept.ts';
import { fetchAhead, router } from './router.ts';
import { useBatches } from './stores/batches.ts';
import { useDraft } from './stores/draft.ts';
import { useHands } from './stores/hands.ts';
import { useJugs } from './stores/jugs.ts';
import { useOutbox } from './stores/outbox.ts';
import { useShop } from './stores/shop.ts';
import { useStart } from './stores/start.ts';

/** Made in a task each, before anything is drawn: the first ones are what the others rest on. */
const STORES = [useShop, useOutbox, useBatches, useJugs, useDraft, useStart, useHands];

void begin();

async function begin(): Promise<void> {
  // Reading the modules was a task already.
  await nextTask();
  const app = createApp(App).use(createPinia());
  await checkKept();
  await nextTask();
  // The page is fetched meanwhile.
  app.use(router);
  await nextTask();
  for (const make of STORES) {
    make();
    await nextTask();
  }
  app.mount('#app');
  await router.isReady();
  fetchAhead();
}
