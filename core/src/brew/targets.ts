import type { Target, TargetKey } from './solve.ts';

/** The two amounts that are set, the later one first; all others are calculated from them. */
export type TargetPair = readonly [Target, Target];

/** Ratio and strength fix each other; only one of them is set. */
const clash = (a: TargetKey, b: TargetKey): boolean =>
  a !== b && [a, b].every((key) => key === 'ratio' || key === 'strengthFrac');

/**
 * The set amounts after one more is set: of the two before, the later one stays and the other is
 * calculated from now on; a locked one always stays. Ratio and strength replace each other, unless
 * one is locked: then the contradiction is left to be shown.
 *
 * @param input.value above 0, in the key's unit
 */
export function setTarget(input: {
  targets: TargetPair;
  locked: TargetKey | null;
  key: TargetKey;
  value: number;
}): TargetPair {
  const { targets, locked, key, value } = input;
  const others = targets.filter((target) => target.key !== key);
  const stays =
    others.find((target) => target.key === locked) ??
    others.find((target) => !clash(target.key, key)) ??
    others[0]!;
  return [{ key, value }, stays];
}

/**
 * The set amounts with one of them locked: it becomes one of the two.
 *
 * @param input.value what it is now
 */
export function lockTarget(input: {
  targets: TargetPair;
  key: TargetKey;
  value: number;
}): TargetPair {
  const { targets, key, value } = input;
  if (targets.some((target) => target.key === key)) return targets;
  return setTarget({ targets, locked: null, key, value });
}
