import { fahrenheitToCelsius, UNITS, type Quantity, type UnitId } from './units.ts';
import { isTwoWays, scanNumber } from './scanNumber.ts';
import { scanUnit } from './scanUnit.ts';

/** What a field holds, and so what it can understand. */
export type Expected = Quantity | 'ratio' | 'number' | 'temperature' | 'percent';

/** An amount that was understood, in the canonical unit of its quantity. */
export interface ReadAmount {
  readonly ok: true;
  readonly quantity: Expected;
  /** g, mL, s, water over coffee, °C, or a fraction 0–1. */
  readonly value: number;
  /** Upper end where a range was given; the same as value where not. */
  readonly high: number;
}

/** A measure of the shop's own, such as its pump: what one of it is, in g or mL. */
export interface OwnMeasure {
  /** In the singular, lower case. */
  readonly name: string;
  readonly quantity: 'mass' | 'volume';
  readonly canonical: number;
}

/** A text that is no amount, and what would do. */
export interface MisreadAmount {
  readonly ok: false;
  readonly message: string;
}

const EXAMPLES: Readonly<Record<Expected, string>> = {
  mass: '900 g, 1.2 kg or 26 oz',
  volume: '350 mL, 3/4 L or 12 fl oz',
  time: '18 h, 12-14 h or 40 min',
  ratio: '1:6 or 6',
  number: '12 or 3.5',
  temperature: '4 °C or 39 °F',
  percent: '3.4 %',
};

/**
 * Reads an amount as somebody would say it: a number, mixed fraction or range with a unit, a ratio,
 * a temperature, a percentage. A plain number is in the field's own unit.
 *
 * @param input.accepts quantities that the field can take, the usual one first
 * @param input.plainUnit unit of a plain number where the usual quantity has units
 * @param input.example what would do, as a message says it; by default an amount of the usual quantity
 * @param input.measures what else is counted in, by the name that the shop has for it
 * @returns the amount, or a sentence that says what is wrong and what would do; never a guess
 * @example readAmount({ text: '3 1/2 cups', accepts: ['volume'] }) // 828.06 mL
 */
export function readAmount(input: {
  text: string;
  accepts: readonly [Expected, ...Expected[]];
  plainUnit?: UnitId;
  measures?: readonly OwnMeasure[];
  example?: string;
}): ReadAmount | MisreadAmount {
  const { accepts, plainUnit, measures = [] } = input;
  const text = input.text.trim();
  const wanted = input.example ?? EXAMPLES[accepts[0]];
  if (text === '') return { ok: false, message: `Nothing is entered. Try ${wanted}.` };
  if (/^[-−]/.test(text)) return { ok: false, message: `It cannot be below zero. Try ${wanted}.` };

  if (accepts.includes('ratio')) {
    const ratio = readRatio({ text, wanted });
    if (ratio) return ratio;
  }
  if (/^overnight$/i.test(text) && accepts.includes('time'))
    return { ok: true, quantity: 'time', value: OVERNIGHT_S, high: OVERNIGHT_S };

  const first = scanNumber({ text, at: 0 });
  if (!first) return { ok: false, message: `“${text}” has no number in front. Try ${wanted}.` };
  const range = /^\s*(?:[-–—]|to)\s*(?=[\d½⅓⅔¼¾.]|an?\b|half)/i.exec(text.slice(first.end));
  const second = range ? scanNumber({ text, at: first.end + range[0].length }) : null;
  const [low, high] = [first.value.valueOf(), (second ?? first).value.valueOf()];
  const rest = text.slice((second ?? first).end).trim();
  if (second && high < low)
    return { ok: false, message: `“${text}” runs backwards. Put the smaller number first.` };

  const eitherWay = askWhich(text.slice(0, first.end), rest, plainUnit);
  if (eitherWay) return eitherWay;
  // "Two thirds", where a share is asked for, is of the whole: nobody says it of a hundredth.
  const isShare = SHARE.test(text) && /^(?:of (?:the|a) (?:glass|cup))?$/i.test(rest);
  if (isShare && accepts.includes('percent'))
    return { ok: true, quantity: 'percent', value: low, high };
  if (rest === '') return plain({ low, high, quantity: accepts[0], plainUnit });
  if (/^%$|^per ?cent$/i.test(rest) && accepts.includes('percent'))
    return { ok: true, quantity: 'percent', value: low / 100, high: high / 100 };
  const degrees = /^(?:°|degrees?)?\s*(c|f|celsius|fahrenheit)$/i.exec(rest);
  if (degrees && accepts.includes('temperature')) {
    const toC = /^f/i.test(degrees[1]!) ? fahrenheitToCelsius : (t: number) => t;
    return { ok: true, quantity: 'temperature', value: toC(low), high: toC(high) };
  }
  const own = measures.find(({ name }) => [name, `${name}s`].includes(rest.toLowerCase()));
  if (own)
    return {
      ok: true,
      quantity: own.quantity,
      value: low * own.canonical,
      high: high * own.canonical,
    };
  const scanned = scanUnit({ text: rest, at: 0 });
  const unit = scanned && { ...scanned, value: asMeasured(scanned.value, accepts) };
  if (!unit || unit.end < rest.length) return compound({ low, rest, unit, accepts, wanted });
  const { quantity, canonical } = UNITS[unit.value];
  if (!accepts.includes(quantity))
    return { ok: false, message: `“${rest}” measures ${quantity}; here it takes ${wanted}.` };
  return { ok: true, quantity, value: low * canonical, high: high * canonical };
}

/** A share as people write it. */
const SHARE = /\d\/\d|[½⅓⅔¼¾⅕⅛]|half|third|quarter/i;
/** What "overnight" is where a number of hours is wanted (common practice). */
const OVERNIGHT_S = 12 * 3600;

/** An ounce of what is measured by volume is a fluid one; of coffee and ice it is a mass. */
const asMeasured = (unit: UnitId, accepts: readonly Expected[]): UnitId =>
  unit === 'ounce' && accepts[0] === 'volume' ? 'fluidOunce' : unit;

/** From this many g, mL or s on a unit is so large that thousands of it are as odd as its thousandths. */
const LARGE_UNIT = 50;

/** `1,500 kg` can be one and a half, or one thousand five hundred: it is asked for, never guessed. */
function askWhich(written: string, rest: string, plainUnit?: UnitId): MisreadAmount | null {
  if (!isTwoWays(written)) return null;
  const unit = rest === '' ? plainUnit : scanUnit({ text: rest, at: 0 })?.value;
  if (!unit || UNITS[unit].canonical < LARGE_UNIT) return null;
  const [small, large] = [String(Number(written.replace(',', '.'))), written.replace(',', '')];
  return {
    ok: false,
    message: `“${written} ${rest}”: is it ${small} or ${large}? Write it without the comma.`,
  };
}

function plain(input: {
  low: number;
  high: number;
  quantity: Expected;
  plainUnit: UnitId | undefined;
}): ReadAmount {
  const { low, high, quantity, plainUnit } = input;
  const factor = plainUnit ? UNITS[plainUnit].canonical : quantity === 'percent' ? 0.01 : 1;
  return { ok: true, quantity, value: low * factor, high: high * factor };
}

/** Two amounts in a row add up: `2 h 30 min`, `1 lb 4 oz`, `a cup and a half`. */
function compound(input: {
  low: number;
  rest: string;
  unit: ReturnType<typeof scanUnit>;
  accepts: readonly [Expected, ...Expected[]];
  wanted: string;
}): ReadAmount | MisreadAmount {
  const { low, rest, unit, accepts, wanted } = input;
  const unknown: MisreadAmount = {
    ok: false,
    message: `“${rest}” is not a unit that is known here. Try ${wanted}.`,
  };
  if (!unit) return unknown;
  const joint = /^\s*(?:and\s+|,\s*)?/i.exec(rest.slice(unit.end))![0];
  const tail = rest.slice(unit.end + joint.length);
  const number = scanNumber({ text: tail, at: 0 });
  if (!number) return unknown;
  const after = tail.slice(number.end).trim();
  const { quantity, canonical } = UNITS[unit.value];
  const isShareOfOne = after === '' && /and/i.test(joint) && number.value.valueOf() < 1;
  const second = isShareOfOne ? unit.value : wholeUnit(after, accepts);
  if (second === null || UNITS[second].quantity !== quantity) return unknown;
  if (!accepts.includes(quantity))
    return { ok: false, message: `“${rest}” measures ${quantity}; here it takes ${wanted}.` };
  const sum = low * canonical + number.value.valueOf() * UNITS[second].canonical;
  return { ok: true, quantity, value: sum, high: sum };
}

function wholeUnit(text: string, accepts: readonly Expected[]): UnitId | null {
  const unit = scanUnit({ text, at: 0 });
  return unit && unit.end === text.length ? asMeasured(unit.value, accepts) : null;
}

/** `1:6`, `2 to 1`, `half and half`: the second over the first. Null for what is no ratio at all. */
function readRatio({
  text,
  wanted,
}: {
  text: string;
  wanted: string;
}): ReadAmount | MisreadAmount | null {
  if (/^(?:half and half|half-and-half|fifty-fifty|50[/:-]50)$/i.test(text))
    return { ok: true, quantity: 'ratio', value: 1, high: 1 };
  const first = scanNumber({ text, at: 0 });
  const between = first && /^\s*(?::|to\b|in\b)\s*/i.exec(text.slice(first.end));
  if (!first || !between) return null;
  const second = scanNumber({ text, at: first.end + between[0].length });
  const one = first.value.valueOf();
  if (!second || text.slice(second.end).trim() !== '' || one === 0)
    return { ok: false, message: `“${text}” is not a ratio. Try ${wanted}.` };
  const value = second.value.valueOf() / one;
  return { ok: true, quantity: 'ratio', value, high: value };
}
