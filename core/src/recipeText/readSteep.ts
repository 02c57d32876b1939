import { isBrewing, roleAt, type Clause } from './clauses.ts';
import type { Mention, Span } from './findMentions.ts';
import { assumed, quote, wholeOf, type RecipeNote } from './recipeNote.ts';
import type { SteepPlaceWord } from './words.ts';

type Of<K extends Mention['kind']> = Extract<Mention, { kind: K }>;
/** A stretch of the steep in one place. */
export interface SteepPiece {
  readonly place: SteepPlaceWord | null;
  readonly hours: { readonly low: number; readonly high: number };
}

/** How long and where a recipe steeps. */
export interface ReadSteep {
  /** In all. */
  readonly hours: { readonly low: number; readonly high: number };
  /** Where it steeps longest; null where the text does not say. */
  readonly place: SteepPlaceWord | null;
  /** One place after another. */
  readonly pieces: readonly SteepPiece[];
  /** Mentions of hours and places that are in it. */
  readonly used: ReadonlySet<Span>;
}

const USUAL_HOURS = {
  fridge: { low: 16, high: 24 },
  counter: { low: 12, high: 18 },
  warm: { low: 12, high: 18 },
};
/** Shorter than this is a wait, and not a stretch of the steep, unless a place of its own is stated. */
const STEEP_FROM_H = 1;

/**
 * The steep of a recipe: hours and places of the brewing, in their sequence. How long it keeps, and
 * waits of minutes, are no steep.
 */
export function readSteep(input: {
  text: string;
  mentions: readonly Mention[];
  clauses: readonly Clause[];
  /** Temperature that the water has, where the text says it. */
  waterC: number | null;
  notes: RecipeNote[];
}): ReadSteep {
  const { text, mentions, clauses, waterC, notes } = input;
  const isSteeping = ({ span: [start] }: Mention): boolean =>
    (/\bafter\s+(?:about\s+)?$/i.test(text.slice(0, start)) || isBrewing(clauses, start)) &&
    !isAside(text, start);
  const steeping = mentions.filter(isSteeping);
  const allHours = steeping.filter(
    (one): one is Of<'hours'> => one.kind === 'hours' && !isGrinding(text, one.span),
  );
  const [first] = allHours.filter(({ high }) => high >= 2);
  // What comes after straining is no steep, nor where it goes then.
  const isOver = ({ span: [start] }: Mention, words: RegExp): boolean =>
    first !== undefined && start > first.span[1] && words.test(text.slice(first.span[1], start));
  const hours = allHours.filter((one) => !isOver(one, OVER));
  const lastEnd = hours.at(-1)?.span[1] ?? 0;
  const places = steeping
    .map(placeByTemp(text))
    .filter(
      (one): one is Of<'place'> =>
        one.kind === 'place' &&
        !isOver(one, OVER) &&
        !(one.span[0] > lastEnd && lastEnd > 0 && THEN.test(text.slice(lastEnd, one.span[0]))),
    );
  const usual: SteepPlaceWord | null =
    places[0]?.place ?? (waterC !== null && waterC >= 28 && waterC <= 45 ? 'warm' : null);
  const long = hours.filter(
    (one) => one.high >= STEEP_FROM_H || (placeOf(text, one, places) !== null && one.high >= 0.25),
  );
  // Where nothing longer is stated, the longest of the minutes is the steep, but for a wait.
  const minutes = hours
    .filter((one) => one.high >= 0.25 && roleAt(clauses, one.span[0]) !== 'wait')
    .sort((a, b) => b.high - a.high);
  const stated = long.length > 0 ? long : minutes.slice(0, 1);
  // A range and a word for the same night: "overnight, 12 to 14 h".
  const stretches = stated.filter((one, i) => one.stated || isOwnStretch(text, stated, i));
  const other = stretches.find(
    ({ span }, i) => i > 0 && /\bor\b/i.test(text.slice(stretches[i - 1]!.span[1], span[0])),
  );
  if (other)
    notes.push(
      assumed('first_way', `${quote(text, other)} is another way; the first is taken.`, other.span),
    );
  const sequence = sequenceOf(
    text,
    other ? stretches.slice(0, stretches.indexOf(other)) : stretches,
    places,
  );
  if (!usual && sequence.every(({ place }) => place === null))
    notes.push(
      assumed('place', 'No place is given; the fridge is assumed for the strength.', wholeOf(text)),
    );
  if (sequence.length === 0) {
    const place = usual;
    const assumedHours = USUAL_HOURS[place ?? 'fridge'];
    notes.push(
      assumed(
        'hours',
        `No time is given; ${assumedHours.low} to ${assumedHours.high} h is usual there.`,
        wholeOf(text),
      ),
    );
    return {
      hours: assumedHours,
      place,
      pieces: [{ place, hours: assumedHours }],
      used: new Set(places.map(({ span }) => span)),
    };
  }
  const [only] = sequence;
  if (sequence.length === 1 && !only!.mention.stated)
    notes.push(
      assumed(
        'hours',
        `${quote(text, only!.mention)} is taken for ${only!.mention.low} to ${only!.mention.high} h.`,
        only!.mention.span,
      ),
    );
  const pieces = sequence.map(({ mention, place }): SteepPiece => ({
    place: place ?? usual,
    hours: { low: mention.low, high: mention.high },
  }));
  const sum = (end: 'low' | 'high'): number =>
    pieces.reduce((whole, { hours: each }) => whole + each[end], 0);
  const longest = pieces.reduce((long, piece) =>
    piece.hours.high >= long.hours.high ? piece : long,
  );
  return {
    hours: { low: sum('low'), high: sum('high') },
    place: longest.place,
    pieces,
    used: new Set([
      ...sequence.map(({ mention }) => mention.span),
      ...places.map(({ span }) => span),
    ]),
  };
}

const FRIDGE_UP_TO_C = 8;

/** "12 h at 20 °C" states the place by its temperature. */
export const isOfPlace = (text: string, { span: [start] }: Mention): boolean =>
  /\b(?:h|hrs?|hours?|overnight|steep)\.?\s*(?:at|@)\s*$/i.test(text.slice(0, start));
const placeByTemp =
  (text: string) =>
  (one: Mention): Mention =>
    one.kind === 'temperature' && isOfPlace(text, one)
      ? { kind: 'place', span: one.span, place: one.tempC <= FRIDGE_UP_TO_C ? 'fridge' : 'counter' }
      : one;

const OVER = /\b(?:strain|filter|drain|remove|lift|take it out|squeeze)\w*\b/i;
const THEN = /\b(?:then|afterwards?|after that)\b/i;

/** Whether a place of the text is an aside in brackets about another way: "(12 hours if on the counter)". */
function isAside(text: string, at: number): boolean {
  const open = text.lastIndexOf('(', at);
  const close = text.indexOf(')', at);
  if (open < 0 || close < 0 || text.slice(open, at).includes(')')) return false;
  return /\b(?:if|when|or)\b/i.test(text.slice(open, close));
}

const NEXT = /\b(?:then|after|followed|next|move)\b/i;

/** Whether a word such as "overnight" is a stretch beside the numbers, and not the same night again. */
function isOwnStretch(text: string, stated: readonly Of<'hours'>[], i: number): boolean {
  const numbered = stated.some(({ stated }) => stated);
  if (!numbered) return i === 0;
  const [before, after] = [stated[i - 1], stated[i + 1]];
  const gapBefore = before ? text.slice(before.span[1], stated[i]!.span[0]) : '';
  const gapAfter = after ? text.slice(stated[i]!.span[1], after.span[0]) : '';
  return NEXT.test(gapBefore) || NEXT.test(gapAfter);
}

const isGrinding = (text: string, [, end]: Span): boolean =>
  /^\s*(?:old|ago|off roast|after roast|before (?:grinding|opening))/i.test(text.slice(end));

/** Stretches one after another. Two tellings of one stretch, with no step between, are one. */
function sequenceOf(
  text: string,
  stretches: readonly Of<'hours'>[],
  places: readonly Of<'place'>[],
): { mention: Of<'hours'>; place: SteepPlaceWord | null }[] {
  const sequence: { mention: Of<'hours'>; place: SteepPlaceWord | null }[] = [];
  for (const mention of stretches) {
    const place = placeOf(text, mention, places);
    const before = sequence.at(-1);
    const gap = before ? text.slice(before.mention.span[1], mention.span[0]) : '';
    const isAnother =
      !before ||
      (place !== null && before.place !== null && place !== before.place) ||
      /\b(?:then|another|more|plus|followed|afterwards?|next|move|finish|after)\b/i.test(gap);
    if (isAnother) sequence.push({ mention, place });
    else if (mention.high > before.mention.high && !before.mention.stated)
      sequence[sequence.length - 1] = { mention, place: place ?? before.place };
    else if (before.place === null && place !== null)
      sequence[sequence.length - 1] = { ...before, place };
  }
  return sequence;
}

/** The place beside the hours: behind them before the next hours, else in front of them. */
function placeOf(
  text: string,
  { span: [start, end] }: Of<'hours'>,
  places: readonly Of<'place'>[],
): SteepPlaceWord | null {
  const near = (from: number, to: number): boolean =>
    !/[.;\n]|\bthen\b|\d+\s*(?:h|hours?|hrs?|min|minutes?|days?)\b/i.test(text.slice(from, to));
  const behind = places.find(
    ({ span }) => span[0] >= end && span[0] - end < 40 && near(end, span[0]),
  );
  if (behind) return behind.place;
  const front = places.findLast(
    ({ span }) => span[1] <= start && start - span[1] < 40 && near(span[1], start),
  );
  return front?.place ?? null;
}
