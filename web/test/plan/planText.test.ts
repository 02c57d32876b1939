import { expect } from 'chai';
import { planText, solutionSentence, writeTarget } from '../../src/plan/planText.ts';
import { batchOf } from '../documents.ts';

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
    [{ key: 'doseG', value: 900 }, '900\u202fg', '31.7\u202foz'],
    [{ key: 'fillMl', value: 5000 }, '5.00\u202fL', '5.28\u202fqt'],
    [{ key: 'ratio', value: 5 }, '1:5.0', '1:5.0'],
  ] as const)
    it(`writes ${target.key} in both systems`, () => {
      expect([writeTarget(target, 'metric'), writeTarget(target, 'us')]).to.deep.equal([
        metric,
        us,
      ]);
    });
});

describe('planText', () => {
  it('says a plan in one line, in both systems', () => {
    const plan = { ...batchOf().plan, doseG: 850, waterG: 4250, grind: 'coarse' as const };
    const steep = [
      { place: 'counter' as const, tempC: 22, hours: 10 },
      { place: 'fridge' as const, tempC: 4, hours: 8 },
    ];
    expect(planText({ ...plan, steep }, 'metric')).to.equal(
      '850\u202fg coarse and 4250\u202fg, 10 h counter, 8 h fridge',
    );
    expect(planText({ ...plan, steep }, 'us')).to.match(/^30\.0\u202foz coarse and 9\.37\u202flb/);
  });
});
