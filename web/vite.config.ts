import { readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import vue from '@vitejs/plugin-vue';
import icons from 'unplugin-icons/vite';
import { defineConfig, type Plugin } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';

/** Asks for the first part of both fonts with the page, before its styles are read. */
const fontsFirst: Plugin = {
  name: 'fonts-first',
  transformIndexHtml: {
    order: 'post',
    handler: (_, { bundle = {} }) =>
      Object.keys(bundle)
        .filter((file) => /chivo(?:-mono)?-first/.test(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', crossorigin: true, href: `/${file}` },
          injectTo: 'head-prepend',
        })),
  },
};

/**
 * Asks a browser that knows it to compile a file while it arrives, not function by function as they are
 * first called: that was half of what opening a page took.
 * Source: WICG, Explicit JavaScript Compile Hints, "//# allFunctionsCalledOnLoad" at the head of a file.
 */
const compiledOnArrival: Plugin = {
  name: 'compiled-on-arrival',
  apply: 'build',
  generateBundle: {
    order: 'post',
    handler(_, bundle) {
      for (const file of Object.values(bundle))
        if (file.type === 'chunk') file.code = `//# allFunctionsCalledOnLoad\n${file.code}`;
    },
  },
  // The files were compressed before the last hook had changed them.
  writeBundle(_, bundle) {
    for (const file of Object.values(bundle)) {
      if (file.type !== 'chunk') continue;
      const at = fileURLToPath(new URL(`dist/${file.fileName}`, import.meta.url));
      writeFileSync(`${at}.gz`, gzipSync(file.code, { level: constants.Z_BEST_COMPRESSION }));
      writeFileSync(`${at}.br`, brotliCompressSync(file.code));
    }
  },
};

interface Chunk {
  readonly file: string;
  readonly css?: readonly string[];
}
/** Writes down every file that the document does not name, for whoever fetches them ahead: pages first. */
const laterFiles: Plugin = {
  name: 'later-files',
  apply: 'build',
  closeBundle() {
    const dist = (file: string): URL => new URL(`dist/${file}`, import.meta.url);
    const text = readFileSync(dist('.vite/manifest.json'), 'utf8');
    const chunks = Object.entries(JSON.parse(text) as Record<string, Chunk>);
    const document = readFileSync(dist('index.html'), 'utf8');
    const files = chunks
      .toSorted(([a], [b]) => Number(b.endsWith('Page.vue')) - Number(a.endsWith('Page.vue')))
      .flatMap(([, { file, css = [] }]) => [file, ...css])
      .filter((file) => /\.(?:js|css)$/.test(file) && !document.includes(file))
      .map((file) => `/${file}`);
    writeFileSync(dist('later-files.json'), JSON.stringify([...new Set(files)]));
  },
};

/** Changes what others' file says, each in the one place where it says so; where it no longer does, the build fails. */
const mended = (of: {
  name: string;
  /** How its path ends. */
  file: string;
  says: readonly (readonly [before: string, after: string])[];
}): Plugin => ({
  name: of.name,
  transform(code, id) {
    if (!id.endsWith(of.file)) return null;
    return of.says.reduce((text, [before, after]) => {
      const around = text.split(before);
      if (around.length !== 2) this.error(`${id} does not say once: ${before}`);
      return around.join(after);
    }, code);
  },
});

/**
 * Element Plus copies a column for each cell through Vue's proxy, which was a third of what a table took:
 * it reads the column itself instead. What of it makes a cell look other is read through the proxy beside it.
 */
const plainColumns = mended({
  name: 'plain-columns',
  file: '/table-body/render-helper.mjs',
  says: [
    [
      'import { computed, h, inject } from "vue"',
      'import { computed, h, inject, toRaw } from "vue"',
    ],
    ['Object.assign({}, column)', 'Object.assign({}, toRaw(column))'],
  ],
});

/** Asks for a part's script beside its styles, where Vite waits for the styles first: one way to the server less. */
const scriptBesideStyles = mended({
  name: 'script-beside-styles',
  file: 'vite/preload-helper.js',
  says: [
    // Whoever waits for the styles as well is told of a script that does not come.
    [
      'return promise.then(',
      'const script = baseModule(); script.catch(() => undefined); return promise.then(',
    ],
    ['return baseModule().catch(', 'return script.catch('],
  ],
});

/** Takes a file of ours for a package that others ask for. */
const instead = (packageName: string, file: string) => ({
  find: new RegExp(`^${packageName}$`),
  replacement: fileURLToPath(new URL(`src/instead/${file}`, import.meta.url)),
});

/** Small parts of the core that most pages ask for. */
const SHARED = /core\/src\/(?:batch\/schedule|calendar\/useBy|drink\/fromJug)/;
const FIELDS =
  /components\/(?:fields\/(?:Amount|Typed|Choice|PickRow|Time|Text|LeaveOut|Act|refusals|amountKind)|figures\/(?!Fold|Open|Why|use))|composables\/useLoaded|core\/src\/units\/|castArray/;
const DRAWINGS =
  /components\/(?:drawings|charts)\/(?:SvgHandle|VesselOutline|colour|vesselShape|Axis|ChartTable)|d3-(?:array|format|interpolate|path|scale|shape)/;
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
    fontsFirst,
    plainColumns,
    scriptBesideStyles,
    compiledOnArrival,
    // Once here instead of at every request.
    compression({ algorithms: ['gzip', 'brotliCompress'], include: /assets\/.*\.(?:js|css)$/ }),
    laterFiles,
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
  // Every component here and in Element Plus has a setup.
  define: { __VUE_OPTIONS_API__: 'false' },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    assetsInlineLimit: 0,
    manifest: true,
    // Scripts find what they import by themselves: to ask for each by a link took longer.
    modulePreload: {
      polyfill: false,
      resolveDependencies: (_, files) => files.filter((file) => file.endsWith('.css')),
    },
    rolldownOptions: {
      // Of the icons each page takes its own.
      treeshake: { moduleSideEffects: [{ test: /~icons|elementIcons/, sideEffects: false }] },
      output: {
        codeSplitting: {
          groups: [
            // Before any schema is made Zod is told not to probe for eval: in a chunk of its own.
            { name: 'withoutEval', test: /withoutEval|node_modules\/zod\// },
            // What every page needs, in two files: fewer to ask for, and smaller together.
            { name: 'kit', test: /node_modules/, tags: ['$initial'] },
            { name: 'common', tags: ['$initial'] },
            // What the stations share: small parts that are never fetched one without the other.
            { name: 'icons', test: /~icons/, minShareCount: 2 },
            { name: 'shared', test: SHARED, minShareCount: 2 },
            { name: 'fields', test: FIELDS, minShareCount: 2 },
            { name: 'drawings', test: DRAWINGS, minShareCount: 4 },
            { name: 'pantry', test: PANTRY, minShareCount: 4 },
            { name: 'drinks', test: DRINKS, minShareCount: 4 },
          ],
        },
      },
    },
  },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env['RATIO_PORT'] ?? 4870}` } },
});
