import { expect } from 'chai';
import { solutionSentence, writeTarget } from '../../src/pages/plan/solutionSentence.ts';
import { piecesOf } from '../../src/pages/recipeText/useRecipeReader.ts';

describe('piecesOf', () => {
  it('cuts a text into what was used and what was not, and loses no letter', () => {
    const text = '200 g coffee, 1 L water';
    const pieces = piecesOf(text, [
      { span: [0, 5], as: 'coffee' },
      { span: [14, 17], as: 'water' },
    ]);
    expect(pieces).to.deep.equal([
      { text: '200 g', as: 'coffee' },
      { text: ' coffee, ', as: null },
      { text: '1 L', as: 'water' },
      { text: ' water', as: null },
    ]);
    expect(pieces.map((piece) => piece.text).join('')).to.equal(text);
  });

  it('leaves a text without marks whole', () => {
    expect(piecesOf('hello', [])).to.deep.equal([{ text: 'hello', as: null }]);
  });
});

describe('solutionSentence', () => {
  it('names both of a contradiction, what the first gives, and by how much', () => {
    const text = solutionSentence(
      {
        key: 'strengthFrac',
        solution: {
          status: 'contradiction',
          between: [
            { key: 'strengthFrac', value: 0.05 },
            { key: 'ratio', value: 8 },
          ],
          given: 3.2,
          offFrac: -0.6,
        },
      },
      'metric',
    );
    expect(text).to.equal(
      'The strength 5.00 % and the ratio 1:8.0 contradict each other: the first gives 1:3.2, 60 % less. Free one of the two.',
    );
  });

  it('says between what an amount lies', () => {
    const solution = {
      status: 'out_of_reach',
      target: { key: 'brewMl', value: 3000 },
      low: 10,
      high: 2000,
    } as const;
    expect(solutionSentence({ key: 'brewMl', solution }, 'metric')).to.match(
      /3\.00.L cannot be had here: the brew lies between 10.mL and 2\.00.L/,
    );
  });

  for (const [target, metric, us] of [
    [{ key: 'doseG', value: 900 }, '900\u2009g', '31.7\u2009oz'],
    [{ key: 'fillMl', value: 5000 }, '5.00\u2009L', '5.28\u2009qt'],
    [{ key: 'ratio', value: 5 }, '1:5.0', '1:5.0'],
  ] as const)
    it(`writes ${target.key} in both systems`, () => {
      expect([writeTarget(target, 'metric'), writeTarget(target, 'us')]).to.deep.equal([
        metric,
        us,
      ]);
    });
});
