import type { Plugin } from 'vite';

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
export const plainColumns = mended({
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

/**
 * Asks for a part's script beside its styles, where Vite waits for the styles first: one way to the server
 * less. What the document brings along is not asked for.
 */
export const scriptBesideStyles = mended({
  name: 'script-beside-styles',
  file: 'vite/preload-helper.js',
  says: [
    [
      'return preloadOnce(seen, dep.href, () => {',
      'return preloadOnce(seen, dep.href, () => { if (document.querySelector(`style[data-files~="${depString}"]`)) return;',
    ],
    // Whoever waits for the styles as well hears of a script that does not come.
    [
      'return promise.then(',
      'const script = baseModule(); script.catch(() => undefined); return promise.then(',
    ],
    ['return baseModule().catch(', 'return script.catch('],
  ],
});
