/** Three amounts of which any two fix the third: water = ratio × dose. */
export const TIED_KEYS = ['doseG', 'waterG', 'ratio'] as const;
export type TiedKey = (typeof TIED_KEYS)[number];

/** The three amounts, and which of them the brewer holds. */
export interface TiedAmounts {
  readonly doseG: number;
  readonly waterG: number;
  readonly ratio: number;
  /** The two that were set, the later one first; the third follows from them. */
  readonly held: readonly [TiedKey, TiedKey];
  /** One that keeps its value whatever else is set. */
  readonly pinned: TiedKey | null;
}

/** @returns the amount that follows from the two that are held */
export const followingKey = ({ held }: Pick<TiedAmounts, 'held'>): TiedKey =>
  TIED_KEYS.find((key) => !held.includes(key))!;

/**
 * The amounts after one of them is set: of the other two, the one that was set last stays, the one
 * before it yields; a pinned one never yields.
 *
 * @param input.value above 0, in the key's unit
 * @returns amounts that agree: waterG = ratio × doseG
 */
export function setTiedAmount(input: {
  amounts: TiedAmounts;
  key: TiedKey;
  value: number;
}): TiedAmounts {
  const { amounts, key, value } = input;
  const { held, pinned } = amounts;
  const others = held.filter((other) => other !== key);
  const kept = pinned !== null && pinned !== key ? pinned : others[0]!;
  return settled({ ...amounts, [key]: value, held: [key, kept] });
}

/**
 * The amounts with one pinned, or unpinned when it was.
 *
 * @returns the same values; the pinned one is among the held
 */
export function togglePin(amounts: TiedAmounts, key: TiedKey): TiedAmounts {
  if (amounts.pinned === key) return { ...amounts, pinned: null };
  const held = amounts.held.includes(key)
    ? amounts.held
    : ([amounts.held[0], key] satisfies [TiedKey, TiedKey]);
  return { ...amounts, pinned: key, held };
}

function settled(amounts: TiedAmounts): TiedAmounts {
  const { doseG, waterG, ratio } = amounts;
  switch (followingKey(amounts)) {
    case 'doseG':
      return { ...amounts, doseG: waterG / ratio };
    case 'waterG':
      return { ...amounts, waterG: doseG * ratio };
    case 'ratio':
      return { ...amounts, ratio: waterG / doseG };
  }
}
