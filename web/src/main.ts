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
import { checkKept } from './kept/checkKept.ts';
import { fetchAhead, router } from './router.ts';

// In a task of its own: reading the modules was one already.
setTimeout(() => {
  void begin();
});

async function begin(): Promise<void> {
  const app = createApp(App).use(createPinia());
  await checkKept();
  app.use(router).mount('#app');
  await router.isReady();
  void fetchAhead();
}
