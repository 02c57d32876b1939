import type { Target, TargetKey } from './solveBatch.ts';

/** The two amounts that a plan is held by, the later one first; all others follow from them. */
export type HeldTargets = readonly [Target, Target];

/** Ratio and strength fix each other; a plan is held by one of them at the most. */
const clash = (a: TargetKey, b: TargetKey): boolean =>
  a !== b && [a, b].every((key) => key === 'ratio' || key === 'strengthFrac');

/**
 * The held amounts after one is set: of the two before, the one set last stays and the other
 * yields; a pinned one never yields. Ratio and strength replace each other, unless one is pinned:
 * then the contradiction is left to be shown.
 *
 * @param input.value above 0, in the key's unit
 */
export function setTarget(input: {
  held: HeldTargets;
  pinned: TargetKey | null;
  key: TargetKey;
  value: number;
}): HeldTargets {
  const { held, pinned, key, value } = input;
  const others = held.filter((target) => target.key !== key);
  const kept =
    others.find((target) => target.key === pinned) ??
    others.find((target) => !clash(target.key, key)) ??
    others[0]!;
  return [{ key, value }, kept];
}

/**
 * The held amounts with one of them pinned: it becomes one of the two.
 *
 * @param input.value what it is now
 */
export function pinTarget(input: {
  held: HeldTargets;
  key: TargetKey;
  value: number;
}): HeldTargets {
  const { held, key, value } = input;
  if (held.some((target) => target.key === key)) return held;
  return setTarget({ held, pinned: null, key, value });
}
