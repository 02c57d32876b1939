import '@fontsource-variable/chivo';
import '@fontsource-variable/chivo-mono';
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
import { useStart } from './stores/start.ts';

void begin();

async function begin(): Promise<void> {
  // Reading the modules was a task already.
  await nextTask();
  const app = createApp(App).use(createPinia());
  await checkKept();
  // The shop and the page are asked for before anything is drawn.
  useStart();
  app.use(router);
  await nextTask();
  app.mount('#app');
  await router.isReady();
  fetchAhead();
}
