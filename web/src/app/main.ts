import '../zodWithoutEval.ts';
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
import { fetchAhead, router } from './router.ts';
import { checkKept } from '../sync/index.ts';

void begin();

async function begin(): Promise<void> {
  const app = createApp(App).use(createPinia());
  // Before a store reads what the browser holds.
  await checkKept();
  app.use(router).mount('#app');
  await router.isReady();
  fetchAhead();
}
