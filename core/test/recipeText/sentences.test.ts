import { expect } from 'chai';
import { predictRecipe } from '../../src/recipeText/predict.ts';
import { readRecipe } from '../../src/recipeText/readRecipe.ts';
import { SENTENCES, type RecipeCase } from './sentences.ts';

const WITHIN = 5e-3;
const near = (a: number | null | undefined, b: number): boolean =>
  typeof a === 'number' && Math.abs(a - b) <= WITHIN * Math.max(Math.abs(b), 1e-9);

/** What of a reading is not as expected; empty where all is. */
function missesOf(stated: RecipeCase): string[] {
  const read = readRecipe(stated.text);
  if (stated.asks) {
    if (read.status !== 'unread') return [`answered instead of asking for ${stated.asks}`];
    return read.lacks === stated.asks ? [] : [`asks for ${read.lacks}`];
  }
  if (read.status === 'unread') return [`asks for ${read.lacks}`];
  const misses: string[] = [];
  const check = (name: string, isRight: boolean, got: unknown): void => {
    if (!isRight) misses.push(`${name} ${JSON.stringify(got)}`);
  };
  const { drink } = stated;
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
  if (stated.isDrink) {
    check('kind', read.status === 'drink', read.status);
    return misses;
  }
  if (read.status !== 'read') return [`read as a ${read.status}`];
  const numbers: (readonly [string, number | undefined, number | null | undefined])[] = [
    ['coffee', stated.coffeeG, read.coffee.massG.value],
    ['water', stated.waterG, read.water.massG.value],
    ['ratio', stated.ratio, read.ratio.value],
    ['water °C', stated.waterC, read.waterC],
    ['decaf', stated.decafFrac, read.decafFrac],
    ['rinse', stated.rinseMl, read.rinseMl],
    ['added', stated.addedMl, read.addedMl],
    ['yield', stated.yieldMl, read.yieldMl?.low],
    ['dilution', stated.dilution, read.dilution?.proportion],
  ];
  for (const [name, expected, got] of numbers)
    if (expected !== undefined) check(name, near(got, expected), got);
  const { hours, place, pieces } = read.steep;
  if (stated.hours)
    check('hours', hours.low === stated.hours[0] && hours.high === stated.hours[1], hours);
  if (stated.place !== undefined) check('place', place === stated.place, place);
  if (stated.pieces)
    check(
      'pieces',
      JSON.stringify(pieces.map((piece) => [piece.place, piece.hours.high])) ===
        JSON.stringify(stated.pieces),
      pieces,
    );
  if (stated.grind) check('grind', read.coffee.grind === stated.grind, read.coffee.grind);
  if (stated.form) check('form', read.coffee.form === stated.form, read.coffee.form);
  if (stated.roast) check('roast', read.roast === stated.roast, read.roast);
  if (stated.filtration)
    check('filtration', read.filtration === stated.filtration, read.filtration);
  if (stated.notes) {
    const whole = predictRecipe(stated.text);
    const codes = whole.status === 'read' ? whole.notes.map(({ code }) => code) : [];
    check(
      'notes',
      stated.notes.every((code) => codes.includes(code)),
      codes,
    );
  }
  return misses;
}

describe('recipes in words', () => {
  const scores: string[] = [];
  let [right, all] = [0, 0];
  after(() => {
    console.log(`${scores.join('\n')}\n    ${right} of ${all} in all\n`);
  });

  for (const [category, sentences] of Object.entries(SENTENCES))
    it(`${category}: ${sentences.length} sentences`, () => {
      const misses = sentences.flatMap((stated) => {
        const found = missesOf(stated);
        return found.length > 0 ? [`“${stated.text}”: ${found.join('; ')}`] : [];
      });
      all += sentences.length;
      right += sentences.length - misses.length;
      scores.push(`    ${category}: ${sentences.length - misses.length} of ${sentences.length}`);
      expect(misses).to.deep.equal([]);
    });

  it('has at least 300 of them, no two the same', () => {
    const texts = Object.values(SENTENCES).flatMap((stated) => stated.map(({ text }) => text));
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
