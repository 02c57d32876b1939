import { expect } from 'chai';
import { predictRecipe } from '../../src/recipeText/predict.ts';
import { readRecipe } from '../../src/recipeText/readRecipe.ts';
import { SENTENCES, type ToldRecipe } from './sentences.ts';

const WITHIN = 5e-3;
const near = (a: number | null | undefined, b: number): boolean =>
  typeof a === 'number' && Math.abs(a - b) <= WITHIN * Math.max(Math.abs(b), 1e-9);

/** What of a reading is not as expected; empty where all is. */
function missesOf(told: ToldRecipe): string[] {
  const read = readRecipe(told.text);
  if (told.asks) {
    if (read.status !== 'unread') return [`answered instead of asking for ${told.asks}`];
    return read.lacks === told.asks ? [] : [`asks for ${read.lacks}`];
  }
  if (read.status === 'unread') return [`asks for ${read.lacks}`];
  const misses: string[] = [];
  const check = (name: string, isRight: boolean, got: unknown): void => {
    if (!isRight) misses.push(`${name} ${JSON.stringify(got)}`);
  };
  const { drink } = told;
  if (drink) {
    const got = read.drink;
    if (drink.concentrateMl !== undefined)
      check('concentrate', near(got?.concentrateMl, drink.concentrateMl ?? 0), got?.concentrateMl);
    if (drink.additions)
      check(
        'additions',
        drink.additions.length === got?.additions.length &&
          drink.additions.every(
            ([id, ml], i) =>
              got.additions[i]!.ingredient === id && near(got.additions[i]!.volumeMl, ml),
          ),
        got?.additions,
      );
    if (drink.cupMl !== undefined) check('cup', near(got?.cupMl, drink.cupMl), got?.cupMl);
    if (drink.ice === 'full') check('ice', got?.ice === 'full', got?.ice);
    else if (drink.ice !== undefined)
      check('ice', typeof got?.ice === 'object' && near(got.ice?.massG, drink.ice), got?.ice);
  }
  if (told.isDrink) {
    check('kind', read.status === 'drink', read.status);
    return misses;
  }
  if (read.status !== 'read') return [`read as a ${read.status}`];
  const numbers: (readonly [string, number | undefined, number | null | undefined])[] = [
    ['coffee', told.coffeeG, read.coffee.massG.value],
    ['water', told.waterG, read.water.massG.value],
    ['ratio', told.ratio, read.ratio.value],
    ['water °C', told.waterC, read.waterC],
    ['decaf', told.decafFrac, read.decafFrac],
    ['rinse', told.rinseMl, read.rinseMl],
    ['added', told.addedMl, read.addedMl],
    ['yield', told.yieldMl, read.yieldMl?.low],
    ['dilution', told.dilution, read.dilution?.proportion],
  ];
  for (const [name, expected, got] of numbers)
    if (expected !== undefined) check(name, near(got, expected), got);
  const { hours, place, pieces } = read.steep;
  if (told.hours)
    check('hours', hours.low === told.hours[0] && hours.high === told.hours[1], hours);
  if (told.place !== undefined) check('place', place === told.place, place);
  if (told.pieces)
    check(
      'pieces',
      JSON.stringify(pieces.map((piece) => [piece.place, piece.hours.high])) ===
        JSON.stringify(told.pieces),
      pieces,
    );
  if (told.grind) check('grind', read.coffee.grind === told.grind, read.coffee.grind);
  if (told.form) check('form', read.coffee.form === told.form, read.coffee.form);
  if (told.roast) check('roast', read.roast === told.roast, read.roast);
  if (told.filtration) check('filtration', read.filtration === told.filtration, read.filtration);
  if (told.notes) {
    const whole = predictRecipe(told.text);
    const codes = whole.status === 'read' ? whole.notes.map(({ code }) => code) : [];
    check(
      'notes',
      told.notes.every((code) => codes.includes(code)),
      codes,
    );
  }
  return misses;
}

describe('recipes as told', () => {
  const scores: string[] = [];
  let [right, all] = [0, 0];
  after(() => {
    console.log(`${scores.join('\n')}\n    ${right} of ${all} in all\n`);
  });

  for (const [category, sentences] of Object.entries(SENTENCES))
    it(`${category}: ${sentences.length} sentences`, () => {
      const misses = sentences.flatMap((told) => {
        const found = missesOf(told);
        return found.length > 0 ? [`“${told.text}”: ${found.join('; ')}`] : [];
      });
      all += sentences.length;
      right += sentences.length - misses.length;
      scores.push(`    ${category}: ${sentences.length - misses.length} of ${sentences.length}`);
      expect(misses).to.deep.equal([]);
    });

  it('has at least 300 of them, no two the same', () => {
    const texts = Object.values(SENTENCES).flatMap((told) => told.map(({ text }) => text));
    expect(texts.length).to.be.at.least(300);
    expect(new Set(texts).size).to.equal(texts.length);
  });

  it('drops no amount in silence: each is marked with what it became', () => {
    for (const { text } of Object.values(SENTENCES).flat()) {
      const read = readRecipe(text);
      if (read.status === 'unread') continue;
      const unmarked = [
        ...text.matchAll(/\d+(?:[.,]\d+)? ?(?:g|kg|mL|ml|L|oz|lb|cups?|quarts?)\b/g),
      ]
        .filter(({ index }) => !/[\d.,]$/.test(text.slice(0, index)))
        .filter(
          ({ index, 0: found }) =>
            !read.marks.some(({ span }) => span[0] < index + found.length && span[1] > index),
        );
      expect(
        unmarked.map(([found]) => found),
        text,
      ).to.deep.equal([]);
    }
  });
});
