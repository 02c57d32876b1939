import { sum } from 'd3-array';
import { pick, type Pantry } from '../pantry/ingredients.ts';
import { isMilk, isSweet, type Adjustment } from './adjust.ts';
import { isPourable } from './poured.ts';
import type { Drink, DrinkVersion } from './schema.ts';

/** For whom a drink is changed that nobody names: it was poured so once. */
export const THIS_ONCE = 'this once';

/** So many people make a wish the shop's: ours. */
const ENOUGH = 3;

/** A change of a drink that was asked for after a sip. */
export interface AskedFor {
  readonly way: Adjustment;
  /** How many asked for it since the usual was changed last. */
  readonly people: number;
}

const OPPOSITES: Readonly<Partial<Record<Adjustment, Adjustment>>> = {
  weaker: 'stronger',
  stronger: 'weaker',
  drier: 'sweeter',
  sweeter: 'drier',
};

/**
 * What enough people asked for of a drink, so that it could be the usual.
 *
 * A name counts once, with what it asked for last; what was poured for nobody by name counts each time.
 * Whoever wants the opposite is taken off. What can no longer be poured is passed over: something in it left the shelf.
 *
 * @param input.usual the drink as the menu has it
 * @param input.versions what was kept of it, the latest first
 * @returns the changes that three people or more asked for, the most asked for first
 */
export function askedFor(input: {
  usual: Omit<Drink, 'id' | 'version'>;
  versions: readonly Pick<DrinkVersion, 'drink' | 'forWhom'>[];
  pantry: Pantry;
}): AskedFor[] {
  const { usual, versions, pantry } = input;
  const changed = versions.findIndex(({ forWhom }) => forWhom === '');
  const since = changed < 0 ? versions : versions.slice(0, changed);
  const heard = new Set<string>();
  const people = new Map<Adjustment, number>();
  for (const { drink, forWhom } of since.filter(({ drink: one }) => isPourable(one, pantry))) {
    const who = forWhom.toLowerCase();
    if (heard.has(who)) continue;
    if (forWhom !== THIS_ONCE) heard.add(who);
    for (const way of waysOf({ usual, drink, pantry })) people.set(way, (people.get(way) ?? 0) + 1);
  }
  return [...people]
    .map(([way, count]) => {
      const opposite = OPPOSITES[way];
      return { way, people: count - ((opposite && people.get(opposite)) ?? 0) };
    })
    .filter((asked) => asked.people >= ENOUGH)
    .toSorted((a, b) => b.people - a.people);
}

type Body = Omit<Drink, 'id' | 'version'>;

/** Which ways a drink goes from the usual. */
function waysOf(input: { usual: Body; drink: Body; pantry: Pantry }): Adjustment[] {
  const { usual, drink, pantry } = input;
  const strength = compareTargets(drink.target, usual.target);
  const sweet = sweetMl(drink, pantry) - sweetMl(usual, pantry);
  const milk = milkMl(drink, pantry) - milkMl(usual, pantry);
  const ways: (Adjustment | false)[] = [
    strength > 0 && 'stronger',
    strength < 0 && 'weaker',
    sweet > 0 && 'sweeter',
    sweet < 0 && 'drier',
    milk > 0 && 'milkier',
  ];
  return ways.filter((way) => way !== false);
}

/** Above 0 where the first asks for more coffee; 0 where they are not of one kind. */
function compareTargets(a: Body['target'], b: Body['target']): number {
  if ('strengthFrac' in a && 'strengthFrac' in b) return a.strengthFrac - b.strengthFrac;
  if ('caffeineMg' in a && 'caffeineMg' in b) return a.caffeineMg - b.caffeineMg;
  if ('concentrateMl' in a && 'concentrateMl' in b) return a.concentrateMl - b.concentrateMl;
  if ('glassFrac' in a && 'glassFrac' in b) return a.glassFrac - b.glassFrac;
  if ('parts' in a && 'parts' in b)
    return a.parts.concentrate * b.parts.fill - b.parts.concentrate * a.parts.fill;
  return 0;
}

const addedMl = (drink: Body, which: (id: string) => boolean): number =>
  sum(drink.additions, ({ ingredient, volumeMl }) => (which(ingredient) ? volumeMl : 0));

const sweetMl = (drink: Body, pantry: Pantry): number =>
  addedMl(drink, (id) => isSweet(pick(pantry, id)));

/** Milk in the glass before any coffee: what is measured, and its share of the room that is left. */
function milkMl(drink: Body, pantry: Pantry): number {
  const { cupMl, ice, diluents } = drink;
  const isMilky = (id: string): boolean => isMilk(pick(pantry, id));
  const parts = sum(diluents, ({ proportion }) => proportion);
  const milky = sum(diluents, ({ ingredient, proportion }) =>
    isMilky(ingredient) ? proportion : 0,
  );
  const measuredMl = addedMl(drink, isMilky);
  if (milky === 0) return measuredMl;
  const iceG = ice && 'massG' in ice ? ice.massG : 0;
  // What makes it sweet is another wish.
  const besideMl = addedMl(drink, (id) => !isSweet(pick(pantry, id)));
  return measuredMl + (milky / parts) * (cupMl - iceG - besideMl);
}
