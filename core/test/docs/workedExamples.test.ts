import { readFileSync } from 'node:fs';
import { expect } from 'chai';
import { blendToStrengthG, stretched, waterToStrengthG } from '../../src/jug/balance.ts';
import { INGREDIENTS } from '../../src/pantry/ingredients.ts';
import { compositionOfPackage, type PackageTable } from '../../src/pantry/packageTable.ts';
import { densityGPerMl, energyKcal } from '../../src/matter/properties.ts';
import { makeHouseRecipe } from '../../src/pantry/makeHouseRecipe.ts';
import { predictDrink } from '../../src/drink/predict.ts';
import { houseRecipeSchema } from '../../src/pantry/houseRecipeSchema.ts';
import { predictDrinkRequest } from '../../src/drink/predictSchema.ts';

const PAGE = readFileSync(new URL('../../../docs/worked-examples.md', import.meta.url), 'utf8');

interface Example {
  readonly title: string;
  readonly predict: keyof typeof PREDICT;
  readonly input: object;
  /** Path of a result, and the hand's figure with what it may be off. */
  readonly expect: Readonly<Record<string, [value: number, tolerance: number]>>;
}

const PREDICT = {
  drink: (input: object) => predictDrink(predictDrinkRequest.parse(input)),
  houseRecipe: (input: object) =>
    makeHouseRecipe(
      houseRecipeSchema.parse({ id: 'recipe', version: 1, lifeDays: null, note: '', ...input }),
      INGREDIENTS,
    ),
  thin: (input: object) => waterToStrengthG(input as Parameters<typeof waterToStrengthG>[0]),
  blend: (input: object) => blendToStrengthG(input as Parameters<typeof blendToStrengthG>[0]),
  stretch: (input: object) => stretched(input as Parameters<typeof stretched>[0]),
  package: (input: object) => {
    const composition = compositionOfPackage(input as PackageTable);
    return {
      energyKcal: energyKcal(composition),
      gPerMl: densityGPerMl({ composition, tempC: 20 }),
    };
  },
};

const examples = PAGE.split(/^## /m)
  .slice(1)
  .flatMap((section): Example[] => {
    const title = section.slice(0, section.indexOf('\n'));
    return [...section.matchAll(/```json\n([\s\S]*?)```/g)].map(([, block]) => ({
      title,
      ...(JSON.parse(block!) as Omit<Example, 'title'>),
    }));
  });

const valueAt = (result: unknown, path: string): unknown =>
  path === ''
    ? result
    : path.split('.').reduce((at, key) => (at as Record<string, unknown>)[key], result);

describe('docs/worked-examples.md', () => {
  it('holds an example in every section', () => {
    expect(examples).to.have.length.above(10);
    expect(new Set(examples.map(({ title }) => title)).size).to.equal(
      PAGE.split(/^## /m).length - 1,
    );
  });

  for (const { title, predict, input, expect: expected } of examples)
    it(`${title} (${predict})`, () => {
      const result = PREDICT[predict](input);
      for (const [path, [value, tolerance]] of Object.entries(expected))
        expect(valueAt(result, path), path).to.be.closeTo(value, tolerance);
    });
});
