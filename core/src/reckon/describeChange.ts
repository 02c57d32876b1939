import type { WayWords } from '../cup/wayText.ts';
import type { Pantry } from '../matter/ingredients.ts';
import type { Drink } from '../schemas/shelf.ts';

type DrinkBody = Omit<Drink, 'id' | 'version'>;

const pct = (frac: number): string => `${(100 * frac).toFixed(2)} %`;

/**
 * What is different between two makes of a drink, in the bar's words.
 *
 * @returns one entry for each difference, in the order of the build; none where they are the same
 */
export function describeChange(input: {
  before: DrinkBody;
  after: DrinkBody;
  pantry: Pantry;
  words: WayWords;
}): string[] {
  const { before, after, pantry, words } = input;
  const name = (id: string) => (Object.hasOwn(pantry, id) ? pantry[id]!.name : id);
  const targetText = ({ target }: DrinkBody): string => {
    if ('strengthFrac' in target) return `${pct(target.strengthFrac)} at ${target.atMinutes} min`;
    if ('caffeineMg' in target) return `${target.caffeineMg.toFixed(0)} mg of caffeine`;
    if ('concentrateMl' in target) return `${words.volume(target.concentrateMl)} of concentrate`;
    return `${target.parts.concentrate} to ${target.parts.fill}`;
  };
  const iceText = ({ ice }: DrinkBody): string => {
    if (!ice) return 'none';
    const amount = 'massG' in ice ? words.mass(ice.massG) : 'to the line';
    const coffee = ice.part
      ? name(ice.part)
      : ice.coffeeFrac > 0
        ? `coffee of ${pct(ice.coffeeFrac)}`
        : 'water';
    return `${amount}, ${ice.kind}, ${coffee}, ${words.temp(ice.tempC)}`;
  };
  const fillText = ({ fillWith, fillAlso }: DrinkBody): string =>
    [fillWith, ...fillAlso]
      .map(({ ingredient, share, tempC }) =>
        [fillAlso.length > 0 ? `${share} of` : '', name(ingredient), `at ${words.temp(tempC)}`]
          .filter(Boolean)
          .join(' '),
      )
      .join(' and ');
  const rows: [what: string, text: (drink: DrinkBody) => string][] = [
    ['name', (drink) => drink.name],
    ['glass', (drink) => `${drink.glass}, ${words.volume(drink.cupMl)}`],
    ['for', (drink) => String(drink.shares)],
    ['target', targetText],
    ['ice', iceText],
    ['filled up with', fillText],
    ['served', (drink) => drink.serve],
    ['before the ice', (drink) => beforeIce(drink, words)],
    ['price', (drink) => drink.price.toFixed(2)],
    ['a week', (drink) => String(drink.weekCount)],
  ];
  const changed = rows.flatMap(([what, text]) => {
    const [was, is] = [text(before), text(after)];
    return was === is ? [] : [`${what} ${was} → ${is}`];
  });
  return [...changed, ...additionChanges({ before, after, name, words })];
}

function beforeIce({ stirredDown, chilledToC }: DrinkBody, words: WayWords): string {
  if (stirredDown) return 'stirred down or shaken';
  return chilledToC === null ? 'as it is' : `chilled to ${words.temp(chilledToC)}`;
}

function additionChanges(input: {
  before: DrinkBody;
  after: DrinkBody;
  name: (id: string) => string;
  words: WayWords;
}): string[] {
  const { before, after, name, words } = input;
  const amounts = ({ additions }: DrinkBody) => {
    const sums = new Map<string, number>();
    for (const { ingredient, volumeMl } of additions)
      sums.set(ingredient, (sums.get(ingredient) ?? 0) + volumeMl);
    return sums;
  };
  const [was, is] = [amounts(before), amounts(after)];
  return [...new Set([...was.keys(), ...is.keys()])].flatMap((id) => {
    const [from, to] = [was.get(id), is.get(id)];
    if (from === to) return [];
    if (from === undefined) return [`with ${words.volume(to!)} ${name(id)}`];
    if (to === undefined) return [`without ${name(id)}`];
    return [`${name(id)} ${words.volume(from)} → ${words.volume(to)}`];
  });
}
