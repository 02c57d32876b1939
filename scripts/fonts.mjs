// The part of each font that nearly every page is set in: it is asked for with the page, the rest when a
// letter of it is first needed (web/src/style/fonts.css).
import { readFileSync, writeFileSync } from 'node:fs';
import subsetFont from 'subset-font';

/** Every weight that the styles ask for. */
const WEIGHTS = { min: 400, max: 700 };
/** ASCII; the signs of Latin-1; punctuation and spaces; the euro; arrows; the minus. As in `unicode-range` there. */
const RANGES = [
  [0x20, 0x7e],
  [0xa0, 0xbf],
  [0xd7, 0xd7],
  [0x2000, 0x206f],
  [0x20ac, 0x20ac],
  [0x2190, 0x2193],
  [0x2212, 0x2212],
];
const text = RANGES.flatMap(([from, to]) =>
  Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i)),
).join('');

for (const name of ['chivo', 'chivo-mono']) {
  const whole = readFileSync(
    new URL(
      `../node_modules/@fontsource-variable/${name}/files/${name}-latin-wght-normal.woff2`,
      import.meta.url,
    ),
  );
  const part = await subsetFont(whole, text, {
    targetFormat: 'woff2',
    variationAxes: { wght: WEIGHTS },
  });
  writeFileSync(new URL(`../web/src/style/fonts/${name}-first.woff2`, import.meta.url), part);
  console.log(`${name}: ${part.length} bytes of ${whole.length}`);
}
