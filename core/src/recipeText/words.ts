import type { Grind } from '../coffee/grinds.ts';

/** Where a stated recipe steeps. */
export type SteepPlaceWord = 'counter' | 'fridge' | 'warm';
/** Whether the coffee is measured ground or as beans. */
export type CoffeeFormWord = 'ground' | 'beans';
/** What a recipe says that it makes. */
export type Claim = 'concentrate' | 'ready to drink';

/** A word or phrase and what it stands for; tried in order, longest sense first. */
export interface WordRule<T> {
  readonly pattern: RegExp;
  readonly means: T;
}

const rule = <T>(source: string, means: T): WordRule<T> => ({
  pattern: new RegExp(`\\b(?:${source})\\b`, 'iy'),
  means,
});

export const GRIND_WORDS: readonly WordRule<Grind>[] = [
  rule('(?:extra|very)[\\s-]+coarse(?:ly)?', 'extra-coarse'),
  rule('medium[\\s-]+(?:to[\\s-]+)?coarse(?:ly)?', 'medium-coarse'),
  rule('coarse(?:ly)?', 'coarse'),
  rule('medium(?:[\\s-]+(?:fine|grind|ground))?(?![\\s-]+(?:roast|body))', 'medium'),
  rule('fine(?:ly)?|espresso[\\s-]+(?:grind|ground)', 'fine'),
];

export const FORM_WORDS: readonly WordRule<CoffeeFormWord>[] = [
  rule('whole[\\s-]+beans?', 'beans'),
  rule('(?:coffee[\\s-]+)?beans?', 'beans'),
  rule('grounds|ground(?:[\\s-]+coffee)?', 'ground'),
];

export const PLACE_WORDS: readonly WordRule<SteepPlaceWord>[] = [
  rule(
    '(?:in(?:side)? the )?(?:fridge|refrigerator|refrigerate|cooler|walk-in|cold room)',
    'fridge',
  ),
  rule(
    '(?:on the |at )?(?:counter(?:top)?|room temp(?:erature)?|bench|worktop|kitchen table)',
    'counter',
  ),
  rule('lukewarm|warm(?: start| water)?', 'warm'),
];

export const CLAIM_WORDS: readonly WordRule<Claim>[] = [
  rule('concentrate', 'concentrate'),
  rule('ready[\\s-]+to[\\s-]+drink|drink it (?:straight|as it is)', 'ready to drink'),
];

/** Hours that are stated by a word, with the range that people mean by it (common practice). */
export const HOUR_WORDS: readonly WordRule<{ low: number; high: number }>[] = [
  rule('over ?night', { low: 10, high: 14 }),
  rule('(?:a )?(?:full )?day and (?:a )?night', { low: 22, high: 26 }),
  rule('half a day', { low: 11, high: 13 }),
  rule('all day', { low: 8, high: 12 }),
];

/** A grind stands for its coffee: "three cups coarse". */
export const COFFEE_WORD = /\b(?:coffee|grounds?|beans?|roast|coarse(?:ly)?)\b/i;
export const WATER_WORD = /\bwater\b/i;
/** What an amount measures when it is a vessel's size, and no water. */
export const VESSEL_WORD =
  /^\s*-?\s*(?:\w+\s+)?(?:jars?|pitchers?|buckets?|jugs?|carafes?|press(?:es)?|containers?|vessels?|tubs?|pots?)\b/i;
/** Amounts of anything else that must not be taken for coffee or water. */
export const OTHER_WORD =
  /\b(?:milk|cream|sugar|syrup|ice|vanilla|cinnamon|chocolate|cocoa|oat drink|foam|salt|serving|servings|glass(?:es)?|per drink|drinks?)\b/i;
/** Words by which a recipe states what comes out. */
export const YIELD_BEFORE =
  /\b(?:makes?|yields?|gives?|for|get|produces?)\s+(?:about\s+|around\s+|roughly\s+)?$/i;
