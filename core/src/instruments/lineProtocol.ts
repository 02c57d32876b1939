import { brixOfIndex } from './brix.ts';

/** What a line of an instrument says; numbers as it has them, uncalibrated. */
export type Line =
  | { readonly says: 'mass'; readonly massG: number; readonly isSteady: boolean | null }
  | { readonly says: 'temp'; readonly tempC: number }
  | { readonly says: 'brix'; readonly brix: number; readonly sampleC: number | null }
  | { readonly says: 'hello'; readonly name: string }
  | { readonly says: 'malformed' };

/** Longer than this no line is; what goes on is thrown away up to its end. */
export const LONGEST_LINE = 80;

const NUMBER = String.raw`([+-]?\d{1,6}(?:\.\d{1,6})?)`;
const LINES = {
  mass: new RegExp(`^mass ${NUMBER}(?: (steady|moving))?$`),
  temp: new RegExp(`^temp ${NUMBER}$`),
  brix: new RegExp(`^(brix|index) ${NUMBER}(?: at ${NUMBER})?$`),
  hello: /^hello ([\w .-]{1,60})$/,
} as const;
/** Nothing measures beyond these. */
const WITHIN = {
  mass: [-60_000, 60_000],
  temp: [-40, 120],
  brix: [-1, 95],
  index: [1.33, 1.505],
} as const;

/**
 * Reads one line of the instruments' protocol: small letters, words and numbers with spaces between,
 * `mass 851.2 steady`, `temp 4.1`, `brix 4.05 at 21.5`, `index 1.33897 at 20`, `hello bench scale`. Grams, °C,
 * °Bx, refractive index; `at` is the temperature of the drop.
 *
 * @param line without its end; blanks around it do not count
 * @returns what it says; malformed for everything else, and for numbers that nothing measures
 */
export function readLine(line: string): Line {
  const text = line.trim();
  if (text.length > LONGEST_LINE) return { says: 'malformed' };
  const mass = LINES.mass.exec(text);
  if (mass && isWithin('mass', mass[1]))
    return {
      says: 'mass',
      massG: Number(mass[1]),
      isSteady: mass[2] === undefined ? null : mass[2] === 'steady',
    };
  const temp = LINES.temp.exec(text);
  if (temp && isWithin('temp', temp[1])) return { says: 'temp', tempC: Number(temp[1]) };
  const brix = LINES.brix.exec(text);
  if (brix && isWithin(brix[1] as 'brix' | 'index', brix[2]) && isSampleTemp(brix[3]))
    return {
      says: 'brix',
      brix: brix[1] === 'index' ? brixOfIndex(Number(brix[2])) : Number(brix[2]),
      sampleC: brix[3] === undefined ? null : Number(brix[3]),
    };
  const hello = LINES.hello.exec(text);
  return hello ? { says: 'hello', name: hello[1]! } : { says: 'malformed' };
}

const isSampleTemp = (text: string | undefined): boolean =>
  text === undefined || isWithin('temp', text);

function isWithin(quantity: keyof typeof WITHIN, text: string | undefined): boolean {
  const [low, high] = WITHIN[quantity];
  const value = Number(text);
  return value >= low && value <= high;
}

/** What an instrument is asked: the line without its end. */
export const ASKS = { tare: 'tare' } as const;

/**
 * Cuts a stream of text into lines, holding at most one of them.
 *
 * @returns takes text as it comes; gives the lines that it ends, each at most so long; one that is longer
 *   comes out cut, and the rest of it is dropped
 */
export function createLineCutter(): (text: string) => string[] {
  let held = '';
  let isDropping = false;
  return (text) => {
    const lines: string[] = [];
    const parts = text.split(/\r\n|\n|\r/);
    parts.forEach((part, i) => {
      const isEnded = i < parts.length - 1;
      if (!isDropping) held = (held + part).slice(0, LONGEST_LINE + 1);
      if (held.length > LONGEST_LINE) isDropping = true;
      if (!isEnded) return;
      if (held !== '') lines.push(held);
      held = '';
      isDropping = false;
    });
    return lines;
  };
}
