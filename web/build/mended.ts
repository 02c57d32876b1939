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
 * Element Plus renders every row again for each one that comes or moves. A row that is the same, in its place
 * and in its class, is kept as it was rendered (Vue takes one with a memo as it is); what its cells show follows
 * by itself. Rows stand side by side with what they open for, so that each is known by its key wherever it
 * moves; `rowsByPlace` goes with it.
 */
export const keptRows = mended({
  name: 'kept-rows',
  file: '/table-body/render-helper.mjs',
  says: [
    [
      'const wrappedRowRender = (row, $index) => {',
      `const kept = new WeakMap();
	const keptRow = (row, $index, expanded = false) => {
		const memo = [$index, expanded, props.store.states.columns.value, getRowClass(row, $index, -1).join(" ")];
		const before = kept.get(row);
		if (before?.el?.isConnected && before.memo.every((value, i) => value === memo[i])) return before;
		const tr = rowRender(row, $index, void 0, expanded);
		tr.memo = memo;
		kept.set(row, tr);
		return tr;
	};
	const wrappedRowRender = (row, $index) => {`,
    ],
    [
      'const tr = rowRender(row, $index, void 0, expanded);\n\t\t\tconst renderExpanded',
      'const tr = keptRow(row, $index, expanded);\n\t\t\tconst renderExpanded',
    ],
    ['return rows;', 'return rows[0];'],
    ['return rowRender(row, $index, void 0);', 'return keptRow(row, $index);'],
  ],
});

/**
 * A table that is given no height is as high as its rows and never scrolls within itself; Element Plus reads
 * the layout of the whole page at each change to be sure.
 */
export const asHighAsItsRows = mended({
  name: 'as-high-as-its-rows',
  file: '/table/src/table-layout.mjs',
  says: [['if (isNull(height)) return false;', 'if (!height) return false;']],
});

/**
 * A text of several lines is as high as its styles say; Element Plus measures a hidden copy of it, and lays
 * the page out for that.
 */
export const asHighAsItsStyle = mended({
  name: 'as-high-as-its-style',
  file: '/input/src/input.vue_vue_type_script_setup_true_lang.mjs',
  says: [
    [
      'else textareaCalcStyle.value = { minHeight: calcTextareaHeight(textarea.value).minHeight };',
      '',
    ],
  ],
});

/** The place of a row among the others, whatever those are open for. */
export const rowsByPlace = mended({
  name: 'rows-by-place',
  file: '/table/src/table-body/index.mjs',
  says: [
    [
      'reduce((acc, row) => {\n\t\t\treturn acc.concat(wrappedRowRender(row, acc.length));',
      'reduce((acc, row, i) => {\n\t\t\treturn acc.concat(wrappedRowRender(row, i));',
    ],
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
