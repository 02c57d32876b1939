import type { Scanned } from './scanNumber.ts';
import { UNITS, type UnitId } from './units.ts';

// Longest first, so that "fl oz" is not read as "fl" and "imperial pint" not as "pint".
const SPELLINGS = (Object.keys(UNITS) as UnitId[])
  .flatMap((id) => {
    const { symbol, spellings } = UNITS[id];
    return [symbol, ...spellings].map((spelling): [string, UnitId] => [spelling, id]);
  })
  .sort(([a], [b]) => b.length - a.length);

const escaped = (spelling: string): string =>
  spelling.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&').replaceAll(' ', '\\s*');

const PATTERNS = SPELLINGS.map(([spelling, id]) => ({
  id,
  // Plural s after words, full stop after abbreviations; and no letter behind.
  pattern: new RegExp(
    `${escaped(spelling)}(?:${/(?:e?s|sh)$/.test(spelling) ? '(?:es)?' : 's'})?(?![a-zà-ü])\\.?`,
    'iy',
  ),
}));

/**
 * A unit as people write it: `g`, `kilos`, `fl. oz`, `metric cup`, `tbsp`.
 *
 * @param input.at where to look, index into text
 * @returns the unit and the index behind it; null where none begins there
 */
export function scanUnit(input: { text: string; at: number }): Scanned<UnitId> | null {
  const { text, at } = input;
  for (const { id, pattern } of PATTERNS) {
    pattern.lastIndex = at;
    const found = pattern.exec(text);
    if (found) return { value: id, end: at + found[0].length };
  }
  return null;
}
