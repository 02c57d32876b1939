// The part of each font that nearly every page is set in: it is asked for with the page, the rest when a
// letter of it is first needed (web/src/app/style/fonts.css).
import { readFileSync, writeFileSync } from 'node:fs';
import subsetFont from 'subset-font';

/** Every weight that the styles ask for. */
const WEIGHTS = { min: 400, max: 700 };
/** Each part, with the letters that the styles take from it. */
const PARTS = /fonts\/(?<name>[\w-]+)-first\.woff2[^}]*unicode-range:(?<ranges>[^;]+)/g;
const FOLDER = new URL('../web/src/app/style/', import.meta.url);

/** @returns the letters of `U+20-7E, U+D7` */
const lettersOf = (ranges) =>
  [...ranges.matchAll(/U\+([0-9A-F]+)(?:-([0-9A-F]+))?/gi)]
    .flatMap(([, first, last = first]) => {
      const [from, to] = [first, last].map((code) => parseInt(code, 16));
      return Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i));
    })
    .join('');

for (const { groups } of readFileSync(new URL('fonts.css', FOLDER), 'utf8').matchAll(PARTS)) {
  const { name, ranges } = groups;
  const whole = readFileSync(
    new URL(
      `../node_modules/@fontsource-variable/${name}/files/${name}-latin-wght-normal.woff2`,
      import.meta.url,
    ),
  );
  const part = await subsetFont(whole, lettersOf(ranges), {
    targetFormat: 'woff2',
    variationAxes: { wght: WEIGHTS },
  });
  writeFileSync(new URL(`fonts/${name}-first.woff2`, FOLDER), part);
  console.log(`${name}: ${part.length} bytes of ${whole.length}`);
}
