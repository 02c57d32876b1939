import { fahrenheitToCelsius, UNITS, type UnitId } from '../units/units.ts';
import { scanNumber } from '../units/scanNumber.ts';
import { scanUnit } from '../units/scanUnit.ts';
import type { Grind } from '../coffee/grinds.ts';
import {
  CLAIM_WORDS,
  FORM_WORDS,
  GRIND_WORDS,
  HOUR_WORDS,
  PLACE_WORDS,
  type Claim,
  type CoffeeFormWord,
  type SteepPlaceWord,
  type WordRule,
} from './words.ts';

/** Start and end of a piece of text; the end is behind it. */
export type Span = readonly [start: number, end: number];

/** An amount of something, in the canonical unit. */
export interface AmountMention {
  readonly kind: 'amount';
  readonly span: Span;
  readonly quantity: 'mass' | 'volume';
  readonly unit: UnitId | 'scoop';
  readonly low: number;
  readonly high: number;
}

/** Anything in a recipe that has a meaning here. */
export type Mention =
  | AmountMention
  | {
      readonly kind: 'hours';
      readonly span: Span;
      readonly low: number;
      readonly high: number;
      readonly stated: boolean;
    }
  | { readonly kind: 'ratio'; readonly span: Span; readonly low: number; readonly high: number }
  | { readonly kind: 'temperature'; readonly span: Span; readonly tempC: number }
  | { readonly kind: 'grind'; readonly span: Span; readonly grind: Grind }
  | { readonly kind: 'form'; readonly span: Span; readonly form: CoffeeFormWord }
  | { readonly kind: 'place'; readonly span: Span; readonly place: SteepPlaceWord }
  | { readonly kind: 'claim'; readonly span: Span; readonly claim: Claim };

/** A scoop is taken for two tablespoons (common practice). */
const SCOOP_ML = 2 * UNITS.tablespoon.canonical;

/**
 * Everything with a meaning in a stated recipe, in the order of the text.
 *
 * @returns mentions that do not overlap; words without a meaning are passed over
 */
export function findMentions(text: string): Mention[] {
  const mentions: Mention[] = [];
  let at = 0;
  while (at < text.length) {
    const found = isWordStart(text, at) ? mentionAt(text, at) : null;
    if (found) mentions.push(found);
    at = found ? found.span[1] : at + 1;
  }
  return mentions;
}

function isWordStart(text: string, at: number): boolean {
  if (at === 0) return true;
  const before = text[at - 1]!;
  // A minus in front is no dash: there is no such amount.
  if (/[-−]/.test(before) && (at === 1 || /\s/.test(text[at - 2]!))) return false;
  return !/[\p{L}\p{N}.,]/u.test(before);
}

function mentionAt(text: string, at: number): Mention | null {
  return (
    hoursByWord(text, at) ??
    ratioAt(text, at) ??
    measuredAt(text, at) ??
    byWord(text, at, GRIND_WORDS, (grind, span) => ({ kind: 'grind', span, grind })) ??
    byWord(text, at, PLACE_WORDS, (place, span) => ({ kind: 'place', span, place })) ??
    byWord(text, at, CLAIM_WORDS, (claim, span) => ({ kind: 'claim', span, claim })) ??
    byWord(text, at, FORM_WORDS, (form, span) => ({ kind: 'form', span, form }))
  );
}

function byWord<T>(
  text: string,
  at: number,
  rules: readonly WordRule<T>[],
  make: (means: T, span: Span) => Mention,
): Mention | null {
  for (const { pattern, means } of rules) {
    pattern.lastIndex = at;
    const found = pattern.exec(text);
    if (found) return make(means, [at, at + found[0].length]);
  }
  return null;
}

const hoursByWord = (text: string, at: number): Mention | null =>
  byWord(text, at, HOUR_WORDS, ({ low, high }, span) => ({
    kind: 'hours',
    span,
    low,
    high,
    stated: false,
  }));

/** 1:8, 1 : 8, 1 to 8, 8:1, one part coffee to eight parts water; also 1:4-5. */
function ratioAt(text: string, at: number): Mention | null {
  const parts =
    /(?:one|1|a) parts? (?:of )?(?:\w+ )?coffee (?:to|and|,) (\w+(?:\.\d+)?) parts? (?:of )?(?:\w+ )?water/iy;
  parts.lastIndex = at;
  const stated = parts.exec(text);
  if (stated) {
    const number = scanNumber({ text: stated[1]!, at: 0 });
    if (number)
      return ratio(number.value.valueOf(), number.value.valueOf(), [at, at + stated[0].length]);
  }
  const colon =
    /(\d+(?:\.\d+)?)\s*(?::|to)\s*(\d+(?:\.\d+)?)(?:\s*[-–]\s*(\d+(?:\.\d+)?))?(?!\s*[\d:/])/iy;
  colon.lastIndex = at;
  const found = colon.exec(text);
  if (!found) return null;
  const [left, right, upto] = [Number(found[1]), Number(found[2]), Number(found[3] ?? found[2])];
  const end = at + found[0].length;
  // "1 to 2 cups" and "10 to 12 h" are ranges, not ratios; a clock time is neither.
  if (
    /to/i.test(found[0]) &&
    (scanUnit({ text, at: skipSpace(text, end) }) !== null || (left !== 1 && right !== 1))
  )
    return null;
  if (/^\s*(?:am|pm|o.clock)/i.test(text.slice(end)) || (left > 1 && right > 1)) return null;
  if (right === 0 || left === 0) return null;
  return left === 1 ? ratio(right, upto, [at, end]) : ratio(left, left, [at, end]);
}

const ratio = (low: number, high: number, span: Span): Mention => ({
  kind: 'ratio',
  span,
  low,
  high,
});
const skipSpace = (text: string, at: number): number => at + /^\s*/.exec(text.slice(at))![0].length;

/** A number or range with a unit: an amount, hours, or a temperature. */
function measuredAt(text: string, at: number): Mention | null {
  const first = scanNumber({ text, at });
  if (!first) return null;
  const joint = /^\s*(?:[-–—]|to|or)\s*/i.exec(text.slice(first.end));
  const second = joint ? scanNumber({ text, at: first.end + joint[0].length }) : null;
  const whole = second ? measure({ text, at, first, last: second }) : null;
  return whole ?? measure({ text, at, first, last: first });
}

function measure(input: {
  text: string;
  at: number;
  first: NonNullable<ReturnType<typeof scanNumber>>;
  last: NonNullable<ReturnType<typeof scanNumber>>;
}): Mention | null {
  const { text, at, first, last } = input;
  const [low, high] = [first.value.valueOf(), last.value.valueOf()];
  if (high < low || low <= 0) return null;
  const from = last.end + /^[\s-]*/.exec(text.slice(last.end))![0].length;
  const degrees = /^(?:°|degrees?)\s*([cf])\b|^([cf])\b/i.exec(text.slice(from));
  if (degrees) {
    const scale = (degrees[1] ?? degrees[2])!.toLowerCase();
    const middle = (low + high) / 2;
    const tempC = scale === 'f' ? fahrenheitToCelsius(middle) : middle;
    return { kind: 'temperature', span: [at, from + degrees[0].length], tempC };
  }
  const scoop = /^(?:heaped |level |coffee )?scoops?\b/i.exec(text.slice(from));
  if (scoop)
    return {
      kind: 'amount',
      span: [at, from + scoop[0].length],
      quantity: 'volume',
      unit: 'scoop',
      low: low * SCOOP_ML,
      high: high * SCOOP_ML,
    };
  const unit = scanUnit({ text, at: from });
  if (!unit) return null;
  const { quantity, canonical } = UNITS[unit.value];
  const span: Span = [at, unit.end];
  if (quantity === 'time')
    return {
      kind: 'hours',
      span,
      low: (low * canonical) / 3600,
      high: (high * canonical) / 3600,
      stated: true,
    };
  const half = /^\s+and\s+(?:a\s+)?half\b/i.exec(text.slice(unit.end));
  const more = half ? 0.5 : 0;
  return {
    kind: 'amount',
    span: [at, unit.end + (half?.[0].length ?? 0)],
    quantity,
    unit: unit.value,
    low: (low + more) * canonical,
    high: (high + more) * canonical,
  };
}
