import vue from '@vitejs/plugin-vue';
import icons from 'unplugin-icons/vite';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    vue(),
    icons({ compiler: 'vue3', scale: 1.2 }),
    // Where the browser allows it, pages open without the server.
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: 'script-defer',
      manifest: false,
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/trust\//],
        maximumFileSizeToCacheInBytes: 4_000_000,
      },
    }),
  ],
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            // Before any schema is made Zod is told not to probe for eval: in a chunk of its own.
            { name: 'withoutEval', test: /withoutEval|node_modules\/zod\// },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env['RATIO_PORT'] ?? 4870}` } },
});
