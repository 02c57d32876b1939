import Fraction from 'fraction.js';

/** Something found in a text, and where it ends. */
export interface Scanned<T> {
  readonly value: T;
  readonly end: number;
}

const VULGAR: Readonly<Record<string, Fraction>> = {
  '½': new Fraction(1, 2),
  '⅓': new Fraction(1, 3),
  '⅔': new Fraction(2, 3),
  '¼': new Fraction(1, 4),
  '¾': new Fraction(3, 4),
  '⅕': new Fraction(1, 5),
  '⅙': new Fraction(1, 6),
  '⅛': new Fraction(1, 8),
  '⅜': new Fraction(3, 8),
  '⅝': new Fraction(5, 8),
  '⅞': new Fraction(7, 8),
};

const ONES = 'one two three four five six seven eight nine'.split(' ');
const TEENS =
  'ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(' ');
const TENS = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');

const WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  'a dozen': 12,
  dozen: 12,
  'a couple': 2,
  'a couple of': 2,
  hundred: 100,
  'a hundred': 100,
  ...Object.fromEntries(ONES.map((word, i) => [word, i + 1])),
  ...Object.fromEntries(TEENS.map((word, i) => [word, i + 10])),
  ...Object.fromEntries(
    TENS.flatMap((tens, t) => [
      [tens, 10 * (t + 2)],
      ...ONES.map((ones, i) => [`${tens}-${ones}`, 10 * (t + 2) + i + 1]),
      ...ONES.map((ones, i) => [`${tens} ${ones}`, 10 * (t + 2) + i + 1]),
    ]),
  ),
  ...Object.fromEntries(ONES.map((word, i) => [`${word} hundred`, 100 * (i + 1)])),
};

const PART_WORDS: Readonly<Record<string, Fraction>> = {
  half: new Fraction(1, 2),
  third: new Fraction(1, 3),
  thirds: new Fraction(1, 3),
  quarter: new Fraction(1, 4),
  quarters: new Fraction(1, 4),
};

const WORD = Object.keys(WORDS)
  .sort((a, b) => b.length - a.length)
  .join('|');
const PART = Object.keys(PART_WORDS)
  .sort((a, b) => b.length - a.length)
  .join('|');
const SIGNS = Object.keys(VULGAR).join('');

const match = (text: string, at: number, pattern: string): RegExpExecArray | null => {
  const sticky = new RegExp(pattern, 'iy');
  sticky.lastIndex = at;
  return sticky.exec(text);
};

/**
 * Whether a number is written so that its comma may part thousands or decimals: `1,500`.
 *
 * @param written the number alone
 */
export const isTwoWays = (written: string): boolean => /^[1-9]\d{0,2},\d{3}$/.test(written.trim());

/**
 * A number as people write or say it: `12`, `1.2`, `1,2`, `4,500`, `3 1/2`, `3½`, `half`,
 * `two thirds`, `one and a half`, `twelve`. Fractions stay exact.
 *
 * @param input.at where to look, index into text
 * @returns the number and the index behind it; null where none begins there
 */
export function scanNumber(input: { text: string; at: number }): Scanned<Fraction> | null {
  const { text, at } = input;
  const whole = scanWhole(text, at);
  if (whole === null) return scanPart(text, at);
  // Does a fraction follow: 3 1/2, 3½, three and a half?
  const gap = match(text, whole.end, '(?:-(?=\\d+/\\d)|\\s*(?:and\\s+|&\\s*)?)');
  const from = whole.end + (gap?.[0].length ?? 0);
  const part = scanPart(text, from);
  if (part) {
    const joined = { value: whole.value.add(part.value), end: part.end };
    // "two thirds" multiplies, "two and a third" adds.
    const counted = match(text, from, `(${PART})\\b`);
    const isCount =
      counted && !/and/i.test(gap?.[0] ?? '') && !/\d/.test(text.slice(at, whole.end));
    return isCount ? { value: whole.value.mul(part.value), end: part.end } : joined;
  }
  return whole;
}

function scanWhole(text: string, at: number): Scanned<Fraction> | null {
  // 1/2 is a part, not a whole 1.
  if (match(text, at, '\\d+\\s*[/⁄]\\s*\\d')) return null;
  // A group of thousands never begins with 0: 0,125 is an eighth.
  const grouped = match(text, at, '[1-9]\\d{0,2}(?:,\\d{3})+(?:\\.\\d+)?(?![\\d,])');
  if (grouped) return decimal(grouped[0].replaceAll(',', ''), at + grouped[0].length);
  const plain = match(text, at, '(?:\\d+(?:[.,]\\d+)?|\\.\\d+)');
  if (plain) return decimal(plain[0].replace(',', '.'), at + plain[0].length);
  const word = match(text, at, `(${WORD})\\b`);
  if (!word) return null;
  const value = new Fraction(WORDS[word[0].toLowerCase()]!);
  const end = at + word[0].length;
  // Two hundred and fifty.
  const more = /hundred$/i.test(word[0]) ? match(text, end, `\\s+(?:and\\s+)?(${WORD})\\b`) : null;
  const rest = more ? WORDS[more[1]!.toLowerCase()]! : 0;
  return rest > 1 && rest < 100
    ? { value: value.add(rest), end: end + more![0].length }
    : { value, end };
}

function scanPart(text: string, at: number): Scanned<Fraction> | null {
  const sign = match(text, at, `[${SIGNS}]`);
  if (sign) return { value: VULGAR[sign[0]]!, end: at + 1 };
  const slash = match(text, at, '(\\d+)\\s*[/⁄]\\s*(\\d+)');
  if (slash && Number(slash[2]) > 0)
    return { value: new Fraction(Number(slash[1]), Number(slash[2])), end: at + slash[0].length };
  const word = match(text, at, `(?:an?\\s+)?(${PART})\\b(?:\\s+(?:of\\s+)?an?\\b)?`);
  return word ? { value: PART_WORDS[word[1]!.toLowerCase()]!, end: at + word[0].length } : null;
}

// From the text, not from a number: 0.1 is a tenth then.
const decimal = (digits: string, end: number): Scanned<Fraction> => ({
  value: new Fraction(digits),
  end,
});
