import { readFileSync, statSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const DIST = new URL('../web/dist/', import.meta.url);
/** What a page may weigh before it can be used, compressed. */
const BUDGET = 170_000;

/**
 * Prints what each page fetches before it can be used, against the budget: the document with its styles,
 * scripts and the page's own styles, as they are served.
 */
export function printPageBytes() {
  const document = readFileSync(new URL('index.html', DIST), 'utf8');
  const heads = JSON.parse(readFileSync(new URL('page-heads.json', DIST), 'utf8'));
  // As it is served over plain HTTP: compressed, where that made it smaller.
  const sizeOf = (file) => statSync(new URL(`.${file}`, DIST), { throwIfNoEntry: false })?.size;
  const bytesOf = (html) =>
    [...html.matchAll(/(?:src|href)="([^"]+\.js)"/g)].reduce(
      (sum, [, file]) => sum + (sizeOf(`${file}.gz`) ?? sizeOf(file)),
      gzipSync(html).length,
    );
  const rows = Object.entries(heads)
    .map(([path, head]) => [path, bytesOf(document + head)])
    .sort(([, a], [, b]) => b - a);
  console.log(`\n| page | kB before it can be used | of ${BUDGET / 1000} kB |\n|---|---|---|`);
  for (const [path, bytes] of rows)
    console.log(`| ${path} | ${(bytes / 1000).toFixed(0)} | ${(bytes / BUDGET).toFixed(2)} |`);
}
