import type { AmountTexts } from './remedyText.ts';
import type { Pantry } from '../pantry/ingredients.ts';
import type { Drink } from './schema.ts';
import { percentText } from '../units/percent.ts';

type DrinkBody = Omit<Drink, 'id' | 'version'>;

/**
 * What is different between two makes of a drink, in the bar's words.
 *
 * @returns one entry for each difference, in the order of the build; none where they are the same
 */
export function drinkChanges(input: {
  before: DrinkBody;
  after: DrinkBody;
  pantry: Pantry;
  texts: AmountTexts;
}): string[] {
  const { before, after, pantry, texts } = input;
  const name = (id: string) => (Object.hasOwn(pantry, id) ? pantry[id]!.name : id);
  const targetText = ({ target }: DrinkBody): string => {
    if ('strengthFrac' in target)
      return `${percentText(target.strengthFrac)} at ${target.atMinutes} min`;
    if ('caffeineMg' in target) return `${target.caffeineMg.toFixed(0)} mg of caffeine`;
    if ('concentrateMl' in target) return `${texts.volume(target.concentrateMl)} of concentrate`;
    if ('glassFrac' in target) return `${percentText(target.glassFrac, 0)} of the glass`;
    if ('rest' in target) return 'concentrate to the line';
    return `${target.parts.concentrate} to ${target.parts.fill}`;
  };
  const iceText = ({ ice }: DrinkBody): string => {
    if (!ice) return 'none';
    const amount = 'massG' in ice ? texts.mass(ice.massG) : 'to the line';
    const coffee = ice.recipe
      ? name(ice.recipe)
      : ice.coffeeFrac > 0
        ? `coffee of ${percentText(ice.coffeeFrac)}`
        : 'water';
    return `${amount}, ${ice.kind}, ${coffee}, ${texts.temp(ice.tempC)}`;
  };
  const dilutionText = ({ diluents }: DrinkBody): string =>
    diluents
      .map(({ ingredient, proportion, tempC }) =>
        [diluents.length > 1 ? `${proportion} of` : '', name(ingredient), `at ${texts.temp(tempC)}`]
          .filter(Boolean)
          .join(' '),
      )
      .join(' and ');
  const rows: [what: string, text: (drink: DrinkBody) => string][] = [
    ['name', (drink) => drink.name],
    ['glass', (drink) => `${drink.glass}, ${texts.volume(drink.cupMl)}`],
    ['for', (drink) => String(drink.servings)],
    ['target', targetText],
    ['ice', iceText],
    ['diluted with', dilutionText],
    ['served', (drink) => drink.serve],
    ['layers', (drink) => (drink.layered ? 'in layers' : 'stirred')],
    ['before the ice', (drink) => beforeIce(drink, texts)],
    ['price', (drink) => drink.price.toFixed(2)],
    ['a week', (drink) => String(drink.weekCount)],
  ];
  const changed = rows.flatMap(([what, text]) => {
    const [was, is] = [text(before), text(after)];
    return was === is ? [] : [`${what} ${was} → ${is}`];
  });
  return [...changed, ...additionChanges({ before, after, name, texts })];
}

function beforeIce({ stirredDown, chilledToC }: DrinkBody, texts: AmountTexts): string {
  if (stirredDown) return 'stirred down or shaken';
  return chilledToC === null ? 'as it is' : `chilled to ${texts.temp(chilledToC)}`;
}

function additionChanges(input: {
  before: DrinkBody;
  after: DrinkBody;
  name: (id: string) => string;
  texts: AmountTexts;
}): string[] {
  const { before, after, name, texts } = input;
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
    if (from === undefined) return [`with ${texts.volume(to!)} ${name(id)}`];
    if (to === undefined) return [`without ${name(id)}`];
    return [`${name(id)} ${texts.volume(from)} → ${texts.volume(to)}`];
  });
}
