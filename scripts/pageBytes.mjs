import { readFileSync, statSync } from 'node:fs';
import { gzipSync } from 'node:zlib';

const DIST = new URL('../web/dist/', import.meta.url);
/** The scripts that a page may fetch before it can be used, compressed. */
const BUDGET = 230_000;

/** Prints what each page fetches before it can be used, against the budget: its scripts as they are served. */
export function printPageBytes() {
  const manifest = JSON.parse(readFileSync(new URL('manifest.json', DIST), 'utf8'));
  // As it is served over plain HTTP.
  const sizeOf = (file) =>
    statSync(new URL(`${file}.gz`, DIST), { throwIfNoEntry: false })?.size ??
    gzipSync(readFileSync(new URL(file, DIST))).length;
  /** A chunk's files, and those of everything that it imports. */
  const filesOf = (key, known = new Set()) => {
    if (known.has(key)) return known;
    known.add(key);
    for (const imported of manifest[key].imports ?? []) filesOf(imported, known);
    return known;
  };
  const first = [...filesOf('index.html')];
  const rows = Object.keys(manifest)
    .filter((key) => key.endsWith('Page.vue'))
    .map((key) => {
      const files = [...new Set([...first, ...filesOf(key)])].map((one) => manifest[one].file);
      const bytes = files.reduce((sum, file) => sum + sizeOf(file), 0);
      return [key.replace(/.*\//, ''), bytes];
    })
    .sort(([, a], [, b]) => b - a);
  console.log(`\n| page | kB of scripts before use | of ${BUDGET / 1000} kB |\n|---|---|---|`);
  for (const [page, bytes] of rows)
    console.log(`| ${page} | ${(bytes / 1000).toFixed(0)} | ${(bytes / BUDGET).toFixed(2)} |`);
}
