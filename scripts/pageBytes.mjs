import { readFileSync, statSync } from 'node:fs';

const DIST = new URL('../web/dist/', import.meta.url);
/** What a page may weigh before it can be used, compressed. */
const BUDGET = 170_000;

/** Prints what each page fetches before it can be used, against the budget: scripts and styles, as they are served. */
export function printPageBytes() {
  const manifest = JSON.parse(readFileSync(new URL('.vite/manifest.json', DIST), 'utf8'));
  const filesOf = (key, seen = new Set()) => {
    if (seen.has(key)) return [];
    seen.add(key);
    const { file, css = [], imports = [] } = manifest[key];
    return [file, ...css, ...imports.flatMap((one) => filesOf(one, seen))];
  };
  // As it is served over plain HTTP: compressed, where that made it smaller.
  const sizeOf = (file) => statSync(new URL(file, DIST), { throwIfNoEntry: false })?.size;
  const bytesOf = (file) => sizeOf(`${file}.gz`) ?? sizeOf(file);
  // The document names what every page needs.
  const first = [
    ...readFileSync(new URL('index.html', DIST), 'utf8').matchAll(
      /"\/(assets\/[^"]+\.(?:js|css))"/g,
    ),
  ].map(([, file]) => file);
  const rows = Object.keys(manifest)
    .filter((key) => /^src\/pages\/.*Page\.vue$/.test(key))
    .map((key) => {
      const files = new Set([...first, ...filesOf(key)]);
      return [key.split('/').at(-1), [...files].reduce((sum, file) => sum + bytesOf(file), 0)];
    })
    .sort(([, a], [, b]) => b - a);
  console.log(`\n| page | kB before it can be used | of ${BUDGET / 1000} kB |\n|---|---|---|`);
  for (const [name, bytes] of rows)
    console.log(`| ${name} | ${(bytes / 1000).toFixed(0)} | ${(bytes / BUDGET).toFixed(2)} |`);
}
