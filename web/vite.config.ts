import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import icons from 'unplugin-icons/vite';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { compressedAhead } from './build/compressedAhead.ts';

/** Small parts of the core that most pages import. */
const SHARED =
  /core\/src\/(?:batch\/schedule|calendar\/useBy|drink\/(?:fromJug|liquidColour))|ui\/buttons\/LinkButton|format\/colour|d3-array\//;
const FIELDS =
  /ui\/(?:fields\/(?:Amount|Typed|Act|refusals)|figures\/(?!Fold|Open|Why|Wrong|use)|lazy)|format\/amountKind|sync\/useLoaded|core\/src\/units\/|castArray|element-plus\/es\/utils\/arrays/;
const DRAWINGS =
  /ui\/(?:drawings|charts)\/(?:SvgHandle|VesselOutline|vesselShape|Axis|ChartTable)|d3-(?:format|interpolate|scale)\//;
const DRINKS = /core\/src\/drink\/|web\/src\/drink\/menu\.ts/;
const PANTRY = /core\/src\/pantry\/|web\/src\/pantry\/pantry/;

export default defineConfig({
  resolve: {
    alias: [
      {
        find: /^@element-plus\/icons-vue$/,
        replacement: fileURLToPath(new URL('src/app/elementIcons.ts', import.meta.url)),
      },
    ],
  },
  plugins: [
    vue(),
    icons({ compiler: 'vue3', scale: 1.2 }),
    compressedAhead,
    // Where the browser allows it, pages open without the server.
    VitePWA({
      registerType: 'autoUpdate',
      // The application registers it once its page stands.
      injectRegister: null,
      manifest: false,
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/trust\//],
        maximumFileSizeToCacheInBytes: 4_000_000,
      },
    }),
  ],
  // Every component here and in Element Plus has a setup.
  define: { __VUE_OPTIONS_API__: 'false' },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    // Read by the worker that fetches every file ahead, and by the bench.
    manifest: 'manifest.json',
    rolldownOptions: {
      // Each page takes its own icons.
      treeshake: {
        moduleSideEffects: [
          {
            test: /~icons|elementIcons|web\/src\/(?!.*main\.ts|zodWithoutEval).*\.(?:ts|vue)$/,
            sideEffects: false,
          },
        ],
      },
      output: {
        codeSplitting: {
          groups: [
            // Before any schema is made Zod is told not to probe for eval.
            { name: 'zodWithoutEval', test: /zodWithoutEval|node_modules\/zod\/v4\/core\/core\./ },
            { name: 'kit', test: /node_modules/, tags: ['$initial'] },
            { name: 'common', tags: ['$initial'] },
            { name: 'icons', test: /~icons/, minShareCount: 2 },
            { name: 'shared', test: SHARED, minShareCount: 2 },
            { name: 'fields', test: FIELDS, minShareCount: 2 },
            { name: 'drawings', test: DRAWINGS, minShareCount: 4 },
            { name: 'd3-shape', test: /d3-(?:path|shape)\//, minShareCount: 2 },
            { name: 'pantry', test: PANTRY, minShareCount: 4 },
            { name: 'drinks', test: DRINKS, minShareCount: 4 },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env['RATIO_PORT'] ?? 4870}` } },
});
