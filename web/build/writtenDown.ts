import { readFileSync, writeFileSync } from 'node:fs';
import type { Plugin } from 'vite';
import { PAGES } from '../src/pages.ts';
import { dist } from './dist.ts';
import { styleElement } from './documentFirst.ts';

interface Chunk {
  readonly file: string;
  readonly css?: readonly string[];
  /** By the keys of the manifest. */
  readonly imports?: readonly string[];
}

/**
 * Writes down which files belong to what, by their names in this build. For the server: what the document
 * of each page brings along, its styles and the scripts to ask for. For whoever fetches the others ahead:
 * those, pages first.
 */
export const writtenDown: Plugin = {
  name: 'written-down',
  apply: 'build',
  closeBundle() {
    const text = readFileSync(dist('.vite/manifest.json'), 'utf8');
    const manifest = JSON.parse(text) as Record<string, Chunk>;
    const document = readFileSync(dist('index.html'), 'utf8');
    const beyond = (files: readonly string[]): string[] =>
      [...new Set(files)].filter((file) => /\.(?:js|css)$/.test(file) && !document.includes(file));
    const write = (file: string, content: object): void =>
      writeFileSync(dist(file), JSON.stringify(content));

    const chunks = Object.entries(manifest)
      .toSorted(([a], [b]) => Number(b.endsWith('Page.vue')) - Number(a.endsWith('Page.vue')))
      .map(([, chunk]) => chunk);
    write(
      'later-files.json',
      beyond(chunks.flatMap(filesOf)).map((file) => `/${file}`),
    );

    /** A chunk's files behind those of what it imports, which it restyles. */
    const withImports = (key: string, known = new Set<string>()): string[] => {
      const chunk = manifest[key];
      if (!chunk || known.has(key)) return [];
      known.add(key);
      const { imports = [] } = chunk;
      return [...imports.flatMap((imported) => withImports(imported, known)), ...filesOf(chunk)];
    };
    const headOf = (file: string): string => {
      const files = beyond(withImports(`src/pages/${file}.vue`));
      const isStyle = (one: string): boolean => one.endsWith('.css');
      const styles = files
        .filter(isStyle)
        .map((one) => [one, readFileSync(dist(one), 'utf8')] as const);
      // Behind what every page needs; the page's own script, which knows what else it wants, first.
      const scripts = files.filter((one) => !isStyle(one)).toReversed();
      const links = scripts.map(
        (one) => `<link rel="modulepreload" fetchpriority="low" crossorigin href="/${one}">`,
      );
      return [styles.length > 0 ? styleElement(styles) : '', ...links].join('');
    };
    const heads = PAGES.map(({ path, file }) => [path, headOf(file)] as const);
    // The first of them opens where no page is named.
    write('page-heads.json', Object.fromEntries([['/', heads[0]![1]], ...heads]));
  },
};

const filesOf = ({ file, css = [] }: Chunk): string[] => [file, ...css];
