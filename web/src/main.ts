import './withoutEval.ts';
import '@fontsource/chivo/400.css';
import '@fontsource/chivo/500.css';
import '@fontsource/chivo/600.css';
import '@fontsource/chivo/700.css';
import '@fontsource/chivo-mono/400.css';
import '@fontsource/chivo-mono/500.css';
import '@fontsource/chivo-mono/600.css';
import 'element-plus/es/components/button/style/css';
import 'element-plus/es/components/dialog/style/css';
import 'element-plus/es/components/input/style/css';
import 'element-plus/es/components/option/style/css';
import 'element-plus/es/components/popconfirm/style/css';
import 'element-plus/es/components/select/style/css';
import 'element-plus/es/components/slider/style/css';
import 'element-plus/es/components/switch/style/css';
import './style/tokens.css';
import './style/element.css';
import './style/base.css';
import './style/chart.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { fetchAhead, router } from './router.ts';

createApp(App).use(createPinia()).use(router).mount('#app');
void router.isReady().then(fetchAhead);
// The program was updated meanwhile: what this page would fetch is gone, and what is typed is kept.
window.addEventListener('vite:preloadError', () => location.reload());
