import type { AmountMention, Span } from './findMentions.ts';
import { COFFEE_WORD, OTHER_WORD, VESSEL_WORD, WATER_WORD, YIELD_BEFORE } from './words.ts';

/** What an amount is of. */
type Subject = 'coffee' | 'water' | 'vessel' | 'brew' | 'other';

/** An amount, and what it is of. */
export interface SubjectedAmount extends AmountMention {
  readonly subject: Subject | null;
  /** Whether a word of the text says so, or it was concluded. */
  readonly concluded: boolean;
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
}): SubjectedAmount[] {
  const byWord = subjectsByWord(input);
  const byAlias = byWord.map((amount, i) => amount.subject ?? aliasSubject(input.text, byWord, i));
  const settled = byWord.map((amount, i) => ({ ...amount, subject: byAlias[i]! }));
  return settled.map((amount) => {
    if (amount.subject !== null) return amount;
    const stated = (subject: Subject) => settled.some((other) => other.subject === subject);
    const guess = amount.quantity === 'mass' ? 'coffee' : 'water';
    return stated(guess) ? amount : { ...amount, subject: guess, concluded: true };
  });
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
    const found = subjectOf({ before, after });
    if (found && found.taken > 0) takenUpTo = end + found.taken;
    return { ...amount, subject: found?.subject ?? null, concluded: false };
  });
}

/** Words up to the end of the clause or the next amount; a label with a colon belongs to the next. */
function clauseAfter(text: string, from: number, to: number): string {
  // An amount in brackets is of what stands behind them.
  const rest = text.slice(from, to).replace(/^\s*\)/, '');
  const [clause = ''] = rest.split(/[.;\n()]|\bthen\b/i, 1);
  return clause.replace(/\b\w+(?:\s+\w+)?\s*[:=]\s*$/, '');
}

function subjectOf(input: {
  before: string;
  after: string;
}): { subject: Subject; taken: number } | null {
  const { before, after } = input;
  if (VESSEL_WORD.test(after)) return { subject: 'vessel', taken: 0 };
  if (YIELD_BEFORE.test(before)) return { subject: 'brew', taken: after.length };
  // A label in front: "coffee: 200 g", "water 1 L".
  const label = /\b(coffee|grounds|beans|water)\s*(?:[:=–-]|is|at)?\s*(?:about\s+)?$/i.exec(before);
  if (label) return { subject: WATER_WORD.test(label[1]!) ? 'water' : 'coffee', taken: 0 };
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

const JOINT = /^\s*(?:[(,/=]|or|that is|about|i\.e\.|\s)*\s*$/i;

/** The subject of the amount that this one states again: "two litres, eight cups of water". */
function aliasSubject(
  text: string,
  amounts: readonly SubjectedAmount[],
  i: number,
): Subject | null {
  const between = (a: Span, b: Span) => text.slice(a[1], b[0]);
  const [here, next, before] = [amounts[i]!, amounts[i + 1], amounts[i - 1]];
  if (next?.subject && isTold(next.subject) && JOINT.test(between(here.span, next.span)))
    return next.subject;
  // In brackets, or after a comma, behind an amount that has said what it is of.
  if (before?.subject && isTold(before.subject)) {
    const gap = between(before.span, here.span);
    const bare = gap.replace(
      /\b(?:of|fresh|cold|filtered|tap|coarse(?:ly)?|medium|ground|grounds|coffee|water|beans?)\b/gi,
      '',
    );
    if (/[(,=/]|or|that is/i.test(gap) && JOINT.test(bare)) return before.subject;
  }
  return null;
}

const isTold = (subject: Subject): boolean => subject === 'coffee' || subject === 'water';
