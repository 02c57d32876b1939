import { roleAt, type Clause } from './clauses.ts';
import type { AmountMention, Span } from './findMentions.ts';
import { COFFEE_WORD, OTHER_WORD, VESSEL_WORD, WATER_WORD, YIELD_BEFORE } from './words.ts';

/** What an amount is of. */
type Subject = 'coffee' | 'water' | 'vessel' | 'brew' | 'other' | 'part';

/** An amount, and what it is of. */
export interface SubjectedAmount extends AmountMention {
  readonly subject: Subject | null;
  /** Whether a word of the text says so, or it was concluded. */
  readonly concluded: boolean;
  /** Whether it is ice, which melts into the water. */
  readonly isIce?: boolean;
}

/**
 * What each amount of a recipe is of: by the word beside it, as another way of stating the amount
 * beside it, or — where the text leaves nothing else — weighed coffee and poured water.
 *
 * @param input.amounts in the order of the text
 * @returns the same amounts with their subjects; null where nothing decides
 */
export function assignSubjects(input: {
  text: string;
  amounts: readonly AmountMention[];
  clauses: readonly Clause[];
}): SubjectedAmount[] {
  const byWord = subjectsByWord(input);
  const byAlias = byWord.map((amount, i) => amount.subject ?? aliasSubject(input.text, byWord, i));
  const settled = byWord.map((amount, i) => ({ ...amount, subject: byAlias[i]! }));
  joinPairs(input.text, settled);
  const stated = new Set(settled.map(({ subject }) => subject));
  const poured = new Set<Span>();
  return settled.map((amount, i) => {
    if (amount.subject !== null) return amount;
    const before = settled[i - 1];
    const wasPoured = before && (before.subject === 'water' || poured.has(before.span));
    const isPoured =
      ['bloom', 'top up'].includes(roleAt(input.clauses, amount.span[0])) ||
      (wasPoured && POURED_ON.test(input.text.slice(before.span[1], amount.span[0]))) ||
      (stated.has('water') && POURS.test(input.text.slice(0, amount.span[0])));
    if (isPoured && stated.has('coffee')) {
      poured.add(amount.span);
      return { ...amount, subject: 'water' };
    }
    const guess = guessOf(amount, stated);
    if (guess === null) return amount;
    stated.add(guess);
    return { ...amount, subject: guess, concluded: true };
  });
}

/** Words by which more of the water just stated is poured. */
const POURED_ON = /\b(?:then|another|plus|and|add|pour|top|more)\b|\+/i;

/** "10 tbsp in 32 oz", "30 g to 240 g": of two that state nothing the first is coffee, the second water. */
function joinPairs(text: string, amounts: SubjectedAmount[]): void {
  if (amounts.some(({ subject }) => subject === 'coffee' || subject === 'water')) return;
  for (const [i, one] of amounts.entries()) {
    const other = amounts[i + 1];
    if (!other || one.subject !== null || other.subject !== null) continue;
    if (!/^\s*(?:in|into|to|with|per|:|\/|,|and)\s*$/i.test(text.slice(one.span[1], other.span[0])))
      continue;
    if (one.high > other.high) continue;
    amounts[i] = { ...one, subject: 'coffee', concluded: true };
    amounts[i + 1] = { ...other, subject: 'water', concluded: true };
    return;
  }
}

/** The same right in front of an amount, whatever was stated between. */
const POURS =
  /\b(?:pour|add|another|other|more|rest|remaining)\s+(?:(?:the|other|another|in|on|of)\s+)*$/i;

/** What is weighed is coffee and what is poured is water, unless the text has stated of it already. */
function guessOf(
  { quantity }: AmountMention,
  stated: ReadonlySet<Subject | null>,
): 'coffee' | 'water' | null {
  const [likely, other] =
    quantity === 'mass' ? (['coffee', 'water'] as const) : (['water', 'coffee'] as const);
  if (!stated.has(likely)) return likely;
  return stated.has(other) ? null : other;
}

function subjectsByWord({
  text,
  amounts,
}: {
  text: string;
  amounts: readonly AmountMention[];
}): SubjectedAmount[] {
  let takenUpTo = 0;
  return amounts.map((amount, i) => {
    const [start, end] = amount.span;
    const before = text.slice(Math.max(takenUpTo, amounts[i - 1]?.span[1] ?? 0), start);
    const after = clauseAfter(text, end, amounts[i + 1]?.span[0] ?? text.length);
    const found = subjectOf({ before, after, isFirst: i === 0 });
    if (found && found.taken > 0) takenUpTo = end + found.taken;
    if (found?.subject === 'ice')
      return { ...amount, subject: 'water', concluded: false, isIce: true };
    return { ...amount, subject: found?.subject ?? null, concluded: false };
  });
}

/** Words up to the end of the clause or the next amount; a label with a colon belongs to the next. */
function clauseAfter(text: string, from: number, to: number): string {
  // An amount in brackets is of what stands behind them.
  const rest = text.slice(from, to).replace(/^\s*\)/, '');
  const [clause = ''] = rest.split(
    /[.;\n()+]|\b(?:then|plus|over)\b|,?\s*\b\d[\d\s–-]*(?:h|hrs?|hours?|min|minutes?)\b/i,
    1,
  );
  // "500 g coffee: 4 L water" is no label.
  if (/^\s*(?:of\s+)?(?:\w+\s+)?(?:coffee|grounds|beans|water)\s*[:=]\s*$/i.test(clause))
    return clause;
  return clause.replace(/\b\w+(?:\s+\w+)?\s*[:=]\s*$/, '');
}

function subjectOf(input: {
  before: string;
  after: string;
  isFirst: boolean;
}): { subject: Subject | 'ice'; taken: number } | null {
  const { before, after, isFirst } = input;
  if (VESSEL_WORD.test(after)) return { subject: 'vessel', taken: 0 };
  // "200 g of the water" is in the water already.
  if (PART_OF.test(after)) return { subject: 'part', taken: 0 };
  const isOfWater = /^\s*(?:of\s+)?(?:\w+\s+)?(?:water|watter)\b/i.test(after);
  if (YIELD_BEFORE.test(before) && !isOfWater) return { subject: 'brew', taken: after.length };
  // A label in front: "coffee: 200 g", "water 1 L".
  const label =
    /\b(coffee|cofee|coffe|grounds|beans|water|watter)\s*(?:[:=–-]|is|at)?\s*(?:about\s+)?$/i.exec(
      before,
    );
  const isNounBefore =
    !isFirst &&
    label !== null &&
    /^\s*(?:of\s+)?(?:\w+\s+)?$/.test(before.slice(0, label.index)) &&
    /[:=]/.test(label[0]);
  if (label && !isNounBefore)
    return { subject: WATER_WORD.test(label[1]!) ? 'water' : 'coffee', taken: 0 };
  const other = /(?:^|[,;(]\s*)(milk|cream|sugar|syrup|ice|honey|salt)\s*[:=–-]?\s*$/i.exec(before);
  if (other) return { subject: /ice/i.test(other[1]!) ? 'ice' : 'other', taken: 0 };
  if (/^\s*(?:of\s+)?ice\b(?!\s+water)/i.test(after)) return { subject: 'ice', taken: 0 };
  const places = (
    [
      ['coffee', COFFEE_WORD],
      ['water', WATER_WORD],
      ['other', OTHER_WORD],
    ] as const
  ).flatMap(([subject, pattern]) => {
    const found = pattern.exec(after);
    return found ? [{ subject, taken: found.index + found[0].length, index: found.index }] : [];
  });
  if (places.length === 0) return null;
  return places.reduce((first, place) => (place.index < first.index ? place : first));
}

const PART_OF = /^\s*of\s+(?:it|them|that|the\s+(?:\w+\s+)?(?:water|watter))\b/i;

/** The same again, and nothing on top of it. */
const AGAIN = /^\s*(?:[(,/=]|or|that is|about|i\.e\.|\s)*\s*$/i;
const JOINT = /^\s*(?:[(,/=+&]|or|and|plus|that is|about|i\.e\.|\s)*\s*$/i;

/** The subject of the amount that this one states again: "two litres, eight cups of water". */
function aliasSubject(
  text: string,
  amounts: readonly SubjectedAmount[],
  i: number,
): Subject | null {
  const between = (a: Span, b: Span) => text.slice(a[1], b[0]);
  const fits = (one: SubjectedAmount, other: SubjectedAmount): boolean =>
    one.quantity === other.quantity || isPlausible(one, other);
  const [here, next, before] = [amounts[i]!, amounts[i + 1], amounts[i - 1]];
  // A full stop ends more than an abbreviation where another sentence follows.
  const endsSentence = ({ span }: SubjectedAmount): boolean => text[span[1] - 1] === '.';
  if (
    !endsSentence(here) &&
    next?.subject &&
    isStated(next.subject) &&
    fits(here, next) &&
    (here.unit === next.unit ? JOINT : AGAIN).test(between(here.span, next.span))
  )
    return next.subject;
  // In brackets, or after a comma, behind an amount that has said what it is of.
  if (before?.subject && isStated(before.subject) && !endsSentence(before) && fits(here, before)) {
    const gap = between(before.span, here.span);
    const bare = gap.replace(
      /\b(?:of|fresh|cold|filtered|tap|coarse(?:ly)?|medium|ground|grounds|coffee|water|beans?)\b/gi,
      '',
    );
    if (/[(,=/+]|\bor\b|that is|\bplus\b|\band\b/i.test(gap) && JOINT.test(bare))
      return before.subject;
  }
  return null;
}

/** Whether a mass and a volume can be the same thing: no denser than twice water, no looser than a foam. */
function isPlausible(one: AmountMention, other: AmountMention): boolean {
  const [mass, volume] = one.quantity === 'mass' ? [one, other] : [other, one];
  const gPerMl = (mass.low + mass.high) / (volume.low + volume.high);
  return gPerMl > 0.1 && gPerMl < 2;
}

const isStated = (subject: Subject): boolean => subject === 'coffee' || subject === 'water';
