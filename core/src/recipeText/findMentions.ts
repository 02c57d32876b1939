import { fahrenheitToCelsius, UNITS, type UnitId } from '../units/units.ts';
import { scanNumber } from '../units/scanNumber.ts';
import { scanUnit } from '../units/scanUnit.ts';
import type { FiltrationMethod } from '../brew/filtration.ts';
import type { Grind } from '../coffee/grinds.ts';
import {
  CLAIM_WORDS,
  FORM_WORDS,
  GRIND_WORDS,
  HOUR_WORDS,
  FILTRATION_WORDS,
  PLACE_WORDS,
  ROAST_WORDS,
  WATER_WORDS,
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
  | {
      readonly kind: 'ratio';
      readonly span: Span;
      /** Water over coffee. */
      readonly low: number;
      readonly high: number;
    }
  | {
      /** So much coffee for each so much water. */
      readonly kind: 'rate';
      readonly span: Span;
      readonly coffee: AmountMention;
      readonly waterMl: number;
    }
  | { readonly kind: 'roast'; readonly span: Span; readonly roast: 'light' | 'medium' | 'dark' }
  | { readonly kind: 'filtration'; readonly span: Span; readonly method: FiltrationMethod }
  /** A time of the day, or a mark of time in pasted talk: no part of the recipe. */
  | { readonly kind: 'time'; readonly span: Span }
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
    timeAt(text, at) ??
    hoursByWord(text, at) ??
    ratioAt(text, at) ??
    countedAt(text, at) ??
    rateInFront(text, at) ??
    rateAt(text, at) ??
    measuredAt(text, at) ??
    byWord(text, at, ROAST_WORDS, (roast, span) => ({ kind: 'roast', span, roast })) ??
    byWord(text, at, WATER_WORDS, (tempC, span) => ({ kind: 'temperature', span, tempC })) ??
    byWord(text, at, FILTRATION_WORDS, (method, span) => ({ kind: 'filtration', span, method })) ??
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

/** 0:35, [12:04], 7:30 pm: a mark of time in pasted talk, or a time of the day. */
function timeAt(text: string, at: number): Mention | null {
  const found = sticky(
    /\d{1,2}:\d{2}(?::\d{2})?(?!\d)\s*(am|pm|a\.m\.|p\.m\.|o.clock)?/iy,
    text,
    at,
  );
  const hour = found ? null : sticky(/\d{1,2}\s*(?:am|pm|o.clock)\b/iy, text, at);
  if (hour) return { kind: 'time', span: [at, at + hour[0].length] };
  if (!found) return null;
  const [left, right] = found[0].split(':').map((part) => Number.parseInt(part, 10)) as [
    number,
    number,
  ];
  const isMark =
    /^0/.test(found[0]) ||
    found[0].split(':').length === 3 ||
    found[1] !== undefined ||
    (/[[(]\s*$/.test(text.slice(0, at)) && /^\s*[\])]/.test(text.slice(at + found[0].length))) ||
    (/\b(?:at|by|around|until|till|from)\s+$/i.test(text.slice(0, at)) && left > 1 && right > 1) ||
    (/(?:^|\n)\s*$/.test(text.slice(0, at)) &&
      /^\s*[-–a-z]/i.test(text.slice(at + found[0].length)) &&
      (left > 1 || marksInAll(text) > 1));
  return isMark ? { kind: 'time', span: [at, at + found[0].length] } : null;
}
const marksInAll = (text: string): number =>
  [...text.matchAll(/(?:^|\n)\s*[[(]?\d{1,2}:\d{2}\b/g)].length;
const sticky = (pattern: RegExp, text: string, at: number): RegExpExecArray | null => {
  pattern.lastIndex = at;
  return pattern.exec(text);
};

const NUMBER =
  '(?:\\d+(?:[.,]\\d+)?|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|a)';
const PARTS = new RegExp(
  `(${NUMBER}) parts? (?:of )?(?:[\\w-]+ ){0,2}?(coffee|cofee|grounds|beans|water)(?:[ ]?(?:to|and|for|in|with)|,|:)? (${NUMBER}) parts? (?:of )?(?:[\\w-]+ ){0,2}?(coffee|cofee|grounds|beans|water)`,
  'iy',
);
const BARE_PARTS = new RegExp(`(${NUMBER}) parts? (?:to|:) (${NUMBER})(?: parts?)?`, 'iy');
const SPOKEN = new RegExp(
  `(${NUMBER})\\s*(?::|-?to-?| is to | in |/(?=\\s*\\d+\\s+ratio))\\s*(${NUMBER})(?:\\s*(?:-|–|to|or)\\s*(?:(?:one|1)\\s*(?::|to)\\s*)?(${NUMBER}))?(?!\\s*[\\d:/])`,
  'iy',
);
const valueOf = (text: string): number => scanNumber({ text, at: 0 })?.value.valueOf() ?? NaN;

const TIMES = new RegExp(
  `(${NUMBER}) times (?:the|as much|its (?:own )?(?:weight|mass) (?:in|of)|that (?:much )?(?:in|of)?|more) ?(?:the )?(?:\\w+ )?water`,
  'iy',
);
/** "coffee/water 1/8": the ratio that is announced. */
const ANNOUNCED = /\bcoffee\s*(?:\/|:|to)\s*water\s*(?:ratio)?\s*(?:=|:|is|of)?\s*$/i;

/** 1:8, 1 to 8, one to five, 1 is to 10, 8:1, 8 parts water to one part coffee, 1:5 to 1:8. */
function ratioAt(text: string, at: number): Mention | null {
  const parts = sticky(PARTS, text, at);
  if (parts) {
    const [one, other] = [valueOf(parts[1]!), valueOf(parts[3]!)];
    const waterFirst = /water/i.test(parts[2]!);
    if (waterFirst !== /water/i.test(parts[4]!))
      return ratio(waterFirst ? one / other : other / one, undefined, [at, at + parts[0].length]);
  }
  const times = sticky(TIMES, text, at);
  if (times) return ratio(valueOf(times[1]!), undefined, [at, at + times[0].length]);
  const slash = ANNOUNCED.test(text.slice(0, at)) ? sticky(/(\d+)\s*\/\s*(\d+)/iy, text, at) : null;
  if (slash)
    return ratio(Number(slash[2]) / Number(slash[1]), undefined, [at, at + slash[0].length]);
  const bare = sticky(BARE_PARTS, text, at);
  if (bare) {
    const [one, other] = [valueOf(bare[1]!), valueOf(bare[2]!)];
    if (one > 0 && other > 0)
      return ratio(one > other ? one / other : other / one, undefined, [at, at + bare[0].length]);
  }
  const found = sticky(SPOKEN, text, at);
  if (!found) return null;
  const [left, right, upto] = [
    valueOf(found[1]!),
    valueOf(found[2]!),
    valueOf(found[3] ?? found[2]!),
  ];
  const end = at + found[0].length;
  const after = text.slice(end);
  const isColon = /^[\d.,]+\s*:/.test(found[0]);
  const saysRatio =
    /^\s*(?:ratio|coffee|water|by (?:weight|mass|volume)|brew|concentrate|strength)/i.test(after) ||
    /\bratio(?: of| is|:)?\s*$/i.test(text.slice(0, at));
  // "1 to 2 cups", "one to two hours" and "10 to 12 h" are ranges, not ratios.
  const inUnits =
    scanUnit({ text, at: skipSpace(text, end) }) !== null ||
    /^\s*(?:scoops?|heaped|minutes?|hours?|days?|teaspoons?|tablespoons?|more|times|or)\b/i.test(
      after,
    );
  if (!isColon && inUnits && !saysRatio) return null;
  if (!isColon && left !== 1 && right !== 1 && !saysRatio) return null;
  if (!isColon && / in /i.test(found[0]) && !/^(?:1|one) in /i.test(found[0])) return null;
  if (!isColon && /^a\b/i.test(found[0])) return null;
  if (!(left > 0 && right > 0) || (isColon && left > 1 && right > 1 && !saysRatio)) return null;
  const waterFirst = /^\s*(?:ratio )?(?:of )?water/i.test(after);
  const span: Span = [at, end];
  if (left > right || waterFirst) return ratio(left / right, undefined, span);
  return ratio(right / left, found[3] ? Math.max(upto, right) / left : undefined, span);
}

const ratio = (low: number, high: number | undefined, span: Span): Mention => ({
  kind: 'ratio',
  span,
  low: Math.min(low, high ?? low),
  high: Math.max(low, high ?? low),
});

/** What so many of are counted in. */
const PACKS =
  /^[\s-]*(?:bags?|packs?|packets?|bottles?|tins?|cans?|boxes|cartons?|kettles?|pitchers? of|jugs? of|jars? of)\b/i;
const COUNT = new RegExp(`(${NUMBER})\\s*(?:(?:x|×|times)\\s*|\\s)(?=[\\d½¼¾⅓⅔])`, 'iy');

/** Two 1 lb bags, 2 x 500 g, three 250 mL jugs: so many times an amount. */
function countedAt(text: string, at: number): Mention | null {
  const count = sticky(COUNT, text, at);
  if (!count || /^a\b/i.test(count[0])) return null;
  const from = at + count[0].length;
  const each = measuredAt(text, from);
  if (each?.kind !== 'amount') return null;
  const isTimes = /x|×|times/i.test(count[0]);
  const pack = PACKS.exec(text.slice(each.span[1]));
  if (!isTimes && !pack) return null;
  const times = valueOf(count[1]!);
  return {
    ...each,
    span: [at, each.span[1] + (pack?.[0].length ?? 0)],
    low: each.low * times,
    high: each.high * times,
  };
}

/** For each litre: 80 g of coffee. */
function rateInFront(text: string, at: number): Mention | null {
  const per = sticky(/(?:for|to|per|in) (?:each|every|one) /iy, text, at);
  const unit = per ? scanUnit({ text, at: at + per[0].length }) : null;
  if (!per || !unit || UNITS[unit.value].quantity !== 'volume') return null;
  const joint = sticky(
    /(?: of (?:\w+ )?water)?\s*[:,]?\s*(?:use|take|add|put|weigh)?\s*(?:about )?/iy,
    text,
    unit.end,
  );
  const coffee = joint ? measuredAt(text, unit.end + joint[0].length) : null;
  if (coffee?.kind !== 'amount' || coffee.quantity !== 'mass') return null;
  return { kind: 'rate', span: [at, coffee.span[1]], coffee, waterMl: UNITS[unit.value].canonical };
}

/** 60 g per litre, 1 lb per gallon, half a cup to each quart. */
function rateAt(text: string, at: number): Mention | null {
  const coffee = measuredAt(text, at);
  if (coffee?.kind !== 'amount') return null;
  const per =
    /^\s*(?:of\s+)?(?:(?:[\w-]+\s+){0,3}?(?:coffee|grounds|beans|cofee)\s+)?(?:(?:per|for each|for every|to each|to every|each|every|\/)\s*(?:a |one )?|(?:a|the|to the)\s+(?=(?:litre|liter|gallon|quart)\b))/i.exec(
      text.slice(coffee.span[1]),
    );
  if (!per) return null;
  const from = coffee.span[1] + per[0].length;
  const number = scanNumber({ text, at: from });
  const unitFrom = number ? number.end + /^[\s-]*/.exec(text.slice(number.end))![0].length : from;
  const unit = scanUnit({ text, at: unitFrom });
  // 200 g/1.6 L are two amounts, and no rate.
  if (!unit || (number && /\//.test(per[0]))) return null;
  const isOunce = unit.value === 'ounce';
  if (UNITS[unit.value].quantity !== 'volume' && !isOunce) return null;
  const perUnitMl = UNITS[isOunce ? 'fluidOunce' : unit.value].canonical;
  const waterMl = perUnitMl * (number?.value.valueOf() ?? 1);
  const of = /^\s*(?:of\s+)?(?:\w+\s+)?water\b/i.exec(text.slice(unit.end));
  return { kind: 'rate', span: [at, unit.end + (of?.[0].length ?? 0)], coffee, waterMl };
}
const skipSpace = (text: string, at: number): number => at + /^\s*/.exec(text.slice(at))![0].length;

/** A number or range with a unit: an amount, hours, or a temperature. */
function measuredAt(text: string, at: number): Mention | null {
  const first = scanNumber({ text, at });
  if (!first) return null;
  const joint = /^\s*(?:[-–—]|to|or|and(?=\s+\d+\s*(?:h|hours?|hrs?|minutes?)\b))\s*/i.exec(
    text.slice(first.end),
  );
  const second = joint ? scanNumber({ text, at: first.end + joint[0].length }) : null;
  const whole = second ? measure({ text, at, first, last: second }) : null;
  return whole ?? measure({ text, at, first, last: first });
}

/** What may stand between a number and its unit. */
const FILLER =
  /^[\s-]*(?:(?:more|extra|additional|other|heap(?:ed|ing)|level|big|full|generous|rounded|good|whole|us|american|fluid(?=\s+oz))\s+)?/i;

function measure(input: {
  text: string;
  at: number;
  first: NonNullable<ReturnType<typeof scanNumber>>;
  last: NonNullable<ReturnType<typeof scanNumber>>;
}): Mention | null {
  const { text, at, first, last } = input;
  const [low, high] = [first.value.valueOf(), last.value.valueOf()];
  if (high < low || low <= 0) return null;
  const from = last.end + FILLER.exec(text.slice(last.end))![0].length;
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
  const smaller = half ? null : smallerPart(text, unit.end, quantity, canonical);
  const more = half ? 0.5 * canonical : (smaller?.canonical ?? 0);
  return {
    kind: 'amount',
    span: [at, smaller?.end ?? unit.end + (half?.[0].length ?? 0)],
    quantity,
    unit: unit.value,
    low: low * canonical + more,
    high: high * canonical + more,
  };
}

/** The ounces behind the pounds: 1 lb 8 oz, 2 lb and 4 oz. */
function smallerPart(
  text: string,
  from: number,
  quantity: 'mass' | 'volume',
  above: number,
): { canonical: number; end: number } | null {
  const gap = sticky(
    /\s*(?:,\s*|and\s+)?(?=[\d½¼¾]|(?:one|two|three|four|five|six|seven|eight|nine|ten|twelve)\b)/iy,
    text,
    from,
  );
  const number = gap ? scanNumber({ text, at: from + gap[0].length }) : null;
  const unitAt = number ? number.end + /^\s*/.exec(text.slice(number.end))![0].length : 0;
  const unit = number ? scanUnit({ text, at: unitAt }) : null;
  if (!number || !unit) return null;
  const { quantity: other, canonical, system } = UNITS[unit.value];
  const one = number.value.valueOf() * canonical;
  // Only ounces of pounds follow by themselves; two pints and three cups are two amounts.
  const isOunces = unit.value === 'ounce' && quantity === 'mass';
  return other === quantity && isOunces && system === 'us' && canonical < above && one < above
    ? { canonical: one, end: unit.end }
    : null;
}
