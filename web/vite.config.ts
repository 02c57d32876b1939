import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import icons from 'unplugin-icons/vite';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { compiledOnArrival } from './build/compiledOnArrival.ts';
import { compressedAhead } from './build/compressedAhead.ts';
import { documentFirst, FIRST } from './build/documentFirst.ts';
import {
  asHighAsItsRows,
  asHighAsItsStyle,
  keptRows,
  plainColumns,
  rowsByPlace,
  scriptBesideStyles,
} from './build/mended.ts';
import { withoutVariants } from './build/withoutVariants.ts';
import { writtenDown } from './build/writtenDown.ts';

const ours = (file: string): string =>
  fileURLToPath(new URL(`src/instead/${file}`, import.meta.url));
/** Takes a file of ours for a package that others ask for. */
const instead = (packageName: string, file: string) => ({
  find: new RegExp(`^${packageName}$`),
  replacement: ours(file),
});

/** Parts of Element Plus that bring others along, what of those is never shown here, and what stands in. */
const UNUSED = [
  ['table', /(?:\/filter-panel|(?:checkbox|tooltip)\/index)\.mjs$/, 'unused.ts'],
  ['pagination', /\/sizes2\.mjs$/, 'unused.ts'],
  ['slider', /\/input-number\/index\.mjs$/, 'unused.ts'],
  ['slider', /\/tooltip\/index\.mjs$/, 'noTooltip.ts'],
] as const;
const withoutUnused: Plugin = {
  name: 'without-unused',
  enforce: 'pre',
  resolveId(asked, by = '') {
    const found = UNUSED.find(
      ([part, brings]) => by.includes(`/element-plus/es/components/${part}/`) && brings.test(asked),
    );
    return found ? ours(found[2]) : null;
  },
};

/** Small parts of the core that most pages ask for. */
const SHARED =
  /core\/src\/(?:batch\/schedule|calendar\/useBy|drink\/(?:fromJug|liquidColour))|fields\/LinkButton|drawings\/colour|d3-array\//;
const FIELDS =
  /components\/(?:fields\/(?:Amount|Typed|Act|refusals|amountKind)|figures\/(?!Fold|Open|Why|Wrong|use))|composables\/useLoaded|core\/src\/units\/|castArray|element-plus\/es\/utils\/arrays/;
const DRAWINGS =
  /components\/(?:drawings|charts)\/(?:SvgHandle|VesselOutline|vesselShape|Axis|ChartTable)|d3-(?:format|interpolate|scale)\//;
const DRINKS = /core\/src\/drink\/|stores\/menu\.ts/;
const PANTRY = /core\/src\/pantry\/|stores\/pantry/;

export default defineConfig({
  resolve: {
    alias: [
      instead('temporal-polyfill', 'temporal.ts'),
      instead('@ctrl/tinycolor', 'noTint.ts'),
      instead('zod', 'withoutEval.ts'),
      instead('d3-color', 'noColours.ts'),
      instead('@element-plus/icons-vue', 'elementIcons.ts'),
      instead('async-validator', 'noRules.ts'),
      instead('\\./isEqual\\.js', 'isEqual.ts'),
    ],
  },
  plugins: [
    vue(),
    icons({ compiler: 'vue3', scale: 1.2 }),
    documentFirst,
    withoutUnused,
    plainColumns,
    keptRows,
    rowsByPlace,
    asHighAsItsRows,
    asHighAsItsStyle,
    scriptBesideStyles,
    compiledOnArrival,
    compressedAhead,
    writtenDown,
    // Where the browser allows it, pages open without the server.
    VitePWA({
      registerType: 'autoUpdate',
      // A page does it once it stands.
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
  css: { postcss: { plugins: [withoutVariants] } },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    manifest: true,
    // Scripts find what they import by themselves: to ask for each by a link took longer.
    modulePreload: {
      polyfill: false,
      resolveDependencies: () => [],
    },
    rolldownOptions: {
      // Of the icons each page takes its own.
      treeshake: { moduleSideEffects: [{ test: /~icons|elementIcons/, sideEffects: false }] },
      output: {
        codeSplitting: {
          groups: [
            // Before any schema is made Zod is told not to probe for eval: in a chunk of its own.
            { name: 'withoutEval', test: /withoutEval|node_modules\/zod\// },
            { name: FIRST[0], test: /node_modules/, tags: ['$initial'] },
            { name: FIRST[1], tags: ['$initial'] },
            // What the stations share: small parts that are never fetched one without the other.
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
