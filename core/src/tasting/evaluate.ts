import type { BlindKind } from './blindKinds.ts';
import type { Serving } from './schema.ts';

/** How likely a guess is right. */
const CHANCE: Readonly<Record<BlindKind, number>> = {
  triangle: 1 / 3,
  'duo-trio': 1 / 2,
  preference: 1 / 2,
};
const ALPHA = 0.05;
/** A difference that so many of ten people really tell, for the power of a test (ISO 4120, medium; memory). */
const TELLERS_FRAC = 0.4;

/** What a blind comparison comes to, exactly. */
export interface BlindResult {
  /** Answers that there are, and those that are right; of a preference, those for A. */
  readonly answers: number;
  readonly right: number;
  /** That as many or more come about by guessing alone, 0–1; two-sided for a preference. */
  readonly pFrac: number;
  /** Least that would show a difference at 5 of 100; null where no number of this size does. */
  readonly least: number | null;
  readonly isShown: boolean;
  /** That a difference which four of ten people tell would be shown with so many answers, 0–1. */
  readonly powerFrac: number;
}

/** @returns the probability of exactly k of n, each with probability p */
function binomial(n: number, k: number, p: number): number {
  let log = k * Math.log(p) + (n - k) * Math.log1p(-p);
  for (let i = 1; i <= k; i++) log += Math.log((n - k + i) / i);
  return Math.exp(log);
}

/** @returns the probability of k or more of n */
export function tail(n: number, k: number, p: number): number {
  let sum = 0;
  for (let i = n; i >= Math.max(0, k); i--) sum += binomial(n, i, p);
  return Math.min(1, sum);
}

/** That so many or more on the better side come about by chance. */
const chanceOf = (kind: BlindKind, n: number, k: number): number => {
  const one = tail(n, k, CHANCE[kind]);
  return kind === 'preference' ? Math.min(1, 2 * one) : one;
};

/**
 * Least number of right answers that shows a difference at 5 of 100.
 *
 * @param answers 1 or more
 * @returns null where even all of them do not
 * @see ISO 4120 (triangle), ISO 10399 (duo-trio), ISO 5495 (paired, two-sided)
 */
export function leastRight(kind: BlindKind, answers: number): number | null {
  for (let k = 0; k <= answers; k++)
    if (k > answers * CHANCE[kind] && chanceOf(kind, answers, k) <= ALPHA) return k;
  return null;
}

/** @returns that a difference which four of ten tell is shown by so many answers, 0–1 */
export function powerFrac(kind: BlindKind, answers: number): number {
  const least = leastRight(kind, answers);
  if (least === null) return 0;
  return tail(answers, least, TELLERS_FRAC + (1 - TELLERS_FRAC) * CHANCE[kind]);
}

/** @returns whether an answer is right: the odd one, the one like the reference; for a preference, A */
export function isRight(kind: BlindKind, { cups, picked }: Serving): boolean {
  const side = picked === null ? undefined : cups[picked]?.side;
  if (side === undefined) return false;
  if (kind === 'preference') return side === 'A';
  if (kind === 'duo-trio') return picked !== 0 && side === cups[0]!.side;
  return cups.filter((cup) => cup.side === side).length === 1;
}

/** @returns what the answers so far come to */
export function evaluateBlind(kind: BlindKind, servings: readonly Serving[]): BlindResult {
  const answered = servings.filter(({ picked }) => picked !== null);
  const answers = answered.length;
  const right = answered.filter((serving) => isRight(kind, serving)).length;
  // Of a preference either side can be the better one.
  const better = kind === 'preference' ? Math.max(right, answers - right) : right;
  const pFrac = answers === 0 ? 1 : chanceOf(kind, answers, better);
  return {
    answers,
    right,
    pFrac,
    least: answers === 0 ? null : leastRight(kind, answers),
    isShown: pFrac <= ALPHA,
    powerFrac: answers === 0 ? 0 : powerFrac(kind, answers),
  };
}
