import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import icons from 'unplugin-icons/vite';
import { defineConfig, type Plugin } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

/** Asks for the two fonts with the page, before its styles are read. */
const fontsFirst: Plugin = {
  name: 'fonts-first',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { bundle = {} }) =>
      Object.keys(bundle)
        .filter((file) => /chivo(?:-mono)?-latin-wght-normal/.test(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', crossorigin: true, href: `/${file}` },
          injectTo: 'head-prepend',
        })),
  },
};

export default defineConfig({
  resolve: {
    alias: [
      {
        find: /^temporal-polyfill$/,
        replacement: fileURLToPath(new URL('src/temporal.ts', import.meta.url)),
      },
      {
        find: /^@ctrl\/tinycolor$/,
        replacement: fileURLToPath(new URL('src/noTint.ts', import.meta.url)),
      },
    ],
  },
  plugins: [
    vue(),
    icons({ compiler: 'vue3', scale: 1.2 }),
    fontsFirst,
    // Once here instead of at every request.
    compression({ algorithms: ['gzip', 'brotliCompress'], include: /assets\/.*\.(?:js|css)$/ }),
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
    manifest: true,
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            // Before any schema is made Zod is told not to probe for eval: in a chunk of its own.
            { name: 'withoutEval', test: /withoutEval|node_modules\/zod\// },
            // What nearly every page shares, in two files: fewer to ask for, and smaller together.
            { name: 'kit', test: /node_modules/, minShareCount: 20 },
            { name: 'common', test: /web\/src|core\/src/, minShareCount: 14 },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env['RATIO_PORT'] ?? 4870}` } },
});
