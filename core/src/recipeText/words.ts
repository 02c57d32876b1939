import type { FiltrationMethod } from '../brew/filtration.ts';
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
  rule('(?:extra|very|super)[\\s-]+coarse(?:ly)?', 'extra-coarse'),
  rule('medium[\\s-]+(?:to[\\s-]+)?coarse(?:ly)?', 'medium-coarse'),
  rule(
    'coarse(?:ly)?|coars|coarce|course(?:ly)?(?=[\\s-]+(?:ground|grind|grounds|coffee))',
    'coarse',
  ),
  rule(
    '(?:medium|medum)(?:[\\s-]+(?:fine|grind|ground))?(?![\\s-]+(?:roast|body|heat|bowl|size))',
    'medium',
  ),
  rule(
    '(?:fine|finely)(?![\\s-]+(?:mesh|sieve|strainer|filter))|espresso[\\s-]+(?:grind|ground)',
    'fine',
  ),
];

export const FORM_WORDS: readonly WordRule<CoffeeFormWord>[] = [
  rule('whole[\\s-]+beans?', 'beans'),
  rule('(?:coffee[\\s-]+)?beans?', 'beans'),
  rule('grounds|ground(?:[\\s-]+coffee)?', 'ground'),
];

export const PLACE_WORDS: readonly WordRule<SteepPlaceWord>[] = [
  rule(
    '(?:in(?:side|to)? (?:the |a |my )?)?(?:fridges?|fridg|refrigerators?|refridgerators?|refrigerated?|refrigerating|cooler|walk-in|cold room|icebox|chill(?:ed)?(?= (?:for|over ?night)))',
    'fridge',
  ),
  rule(
    '(?:on the |on a |at |out at )?(?:counter(?:[\\s-]?top)?|room[\\s-]temp(?:erature)?(?!erature)|ambient|bench|worktop|work surface|kitchen table|left out|leave (?:it )?out|sits? out|(?<=\\d ?(?:h|hrs?|hours?) )out|shelf)',
    'counter',
  ),
  rule('lukewarm|warm(?: start)', 'warm'),
];

export const CLAIM_WORDS: readonly WordRule<Claim>[] = [
  rule('concentrate', 'concentrate'),
  rule('ready[\\s-]+to[\\s-]+drink|drink it (?:straight|as it is)', 'ready to drink'),
];

/** Hours that are stated by a word, with the range that people mean by it (common practice). */
export const HOUR_WORDS: readonly WordRule<{ low: number; high: number }>[] = [
  rule('over[ -]?(?:night|nite)', { low: 10, high: 14 }),
  rule('(?:a )?(?:full )?day and (?:a )?night', { low: 22, high: 26 }),
  rule('half a day', { low: 11, high: 13 }),
  rule('all day', { low: 8, high: 12 }),
];

/** What water is called that is neither cold nor from the tap, °C (practice). */
export const WATER_WORDS: readonly WordRule<number>[] = [
  rule('room[\\s-]temp(?:erature)?[\\s-]+(?:\\w+[\\s-]+)?water', 20),
  rule('(?:lukewarm|warm|tepid)[\\s-]+(?:\\w+[\\s-]+)?water', 32),
  rule('(?:just[\\s-]+)?boil(?:ing|ed)[\\s-]+(?:\\w+[\\s-]+)?water', 95),
  rule('hot[\\s-]+(?:\\w+[\\s-]+)?water', 80),
  rule('(?:ice|iced|ice-cold|fridge-cold|chilled)[\\s-]+(?:\\w+[\\s-]+)?water', 4),
];

export const ROAST_WORDS: readonly WordRule<'light' | 'medium' | 'dark'>[] = [
  rule('(?:light(?:ly)?|blond|nordic)[\\s-]+roast(?:ed)?', 'light'),
  rule('(?:medium(?:[\\s-]+dark)?)[\\s-]+roast(?:ed)?', 'medium'),
  rule('(?:dark(?:ly)?|french|italian|espresso)[\\s-]+roast(?:ed)?', 'dark'),
];

/** How it is separated, by what is used for it. */
export const FILTRATION_WORDS: readonly WordRule<FiltrationMethod>[] = [
  rule('squeez(?:e|ed|ing)|wring|wrung', 'squeeze'),
  rule('(?:paper|coffee|v-shaped|cone)[\\s-]+filters?|filter paper|paper', 'paper'),
  rule(
    '(?:push|press)(?:ed)?[\\s-]+(?:the[\\s-]+|it[\\s-]+)?(?:plunger|down)|plunger?(?!\\w)|plunge|plunger pot|press pot',
    'press',
  ),
  rule('(?:mesh|steel|metal)[\\s-]+(?:insert|basket|filter)|insert|infuser|core filter', 'insert'),
  rule(
    '(?:cheese|muslin|nut[\\s-]milk)[\\s-]?(?:cloth|bag)?s?|cheesecloth|muslin|(?:felt|cloth|cotton|filter|mesh|nylon|brew)[\\s-]+bags?|tea towel|sieve|strainer|colander',
    'drain',
  ),
];

/** A grind stands for its coffee: "three cups coarse". */
export const COFFEE_WORD =
  /\b(?:coffee|cofee|coffe|cofffee|grounds?|beans?|roast|coarse(?:ly)?|decaf(?:f(?:einated)?)?|regular|(?:half|full)[\s-]caff?|arabica|robusta|(?:house|espresso|our)[\s-]blend)\b/i;
export const WATER_WORD = /\b(?:water|watter|h2o)\b/i;
/** What an amount measures when it is a vessel's size, and no water. */
export const VESSEL_WORD =
  /^\s*-?\s*(?:(?:mason|glass|plastic|plunger|press|kilner|preserving|large|big|food[\s-]?grade|wide[\s-]?mouth(?:ed)?)\s+){0,2}(?:jars?|pitchers?|buckets?|jugs?|carafes?|press(?:es)?|containers?|vessels?|tubs?|pots?|bottles?|growlers?|kegs?|lines?|marks?)\b/i;
/** Amounts of anything else that must not be taken for coffee or water. */
export const OTHER_WORD =
  /\b(?:milk|cream(?:er)?|sugar|syrup|ice(?![ -]+(?:cold )?water)|vanilla|cinnamon|chocolate|cocoa|oat drink|foam|salt|honey|tonic|soda|juice|serving|servings|glass(?:es)?|mugs?|per drink|drinks?|concentrate|cold brew|brew|half and half|people|cubes?|pumps?)\b/i;
/** Words by which a recipe states what comes out. */
export const YIELD_BEFORE =
  /\b(?:makes?|making|yields?|yielding|gives?(?: you| me)?|for|get|gets|got|produces?|comes? out (?:as|at|to)|ends? up with|to make)\s+(?:about\s+|around\s+|roughly\s+|almost\s+)?$/i;
