import { expect } from 'chai';
import { USUAL_MODEL } from '../../src/brew/model.ts';
import { nextTime } from '../../src/learn/nextTime.ts';
import { usualPlan } from '../usualPlan.ts';

const plan = usualPlan({ doseG: 800, waterG: 4000 });
const next = (part: Partial<Parameters<typeof nextTime>[0]>, of = plan) =>
  nextTime({ plan: of, model: USUAL_MODEL, aimFrac: 0.035, foundFrac: null, scores: {}, ...part });
const ways = (part: Parameters<typeof next>[0]): string[] => next(part).map(({ way }) => way);

describe('nextTime', () => {
  for (const { name, part, expected } of [
    {
      name: 'a weaker one: less water, or longer',
      part: { foundFrac: 0.031 },
      expected: ['stronger', 'longer'],
    },
    {
      name: 'a stronger one: more water, or shorter',
      part: { foundFrac: 0.039 },
      expected: ['leaner', 'shorter'],
    },
    {
      name: 'a bitter one: coarser, or shorter',
      part: { scores: { bitterness: 4 } },
      expected: ['coarser', 'shorter'],
    },
    {
      name: 'a sour one: longer, or finer',
      part: { scores: { sourness: 5 } },
      expected: ['longer', 'finer'],
    },
    {
      name: 'a muddy one: coarser, or through paper',
      part: { scores: { clean: 2 } },
      expected: ['coarser', 'paper'],
    },
    {
      name: 'one that was liked: the same again',
      part: { foundFrac: 0.0352, scores: { liking: 5 } },
      expected: ['same'],
    },
    { name: 'one of which nobody said anything: nothing', part: {}, expected: [] },
  ] as const)
    it(name, () => expect(ways(part)).to.deep.equal(expected));

  it('offers a way once, though two reasons ask for it', () => {
    expect(ways({ scores: { bitterness: 5, clean: 1 } })).to.deep.equal([
      'coarser',
      'shorter',
      'paper',
    ]);
  });

  // By hand: read 10 % weaker than aimed at, 1:5 becomes 1:4.5, 3600 g of water for 800 g.
  it('takes as much water off as it was off by, and says what it comes to', () => {
    const [stronger, longer] = next({ foundFrac: 0.0315 });
    expect(stronger!.plan.waterG).to.equal(3600);
    expect(stronger!.strengthFrac).to.be.above(stronger!.sameFrac);
    // A quarter longer: 22.5 h.
    expect(longer!.plan.steep[0]!.hours).to.equal(22.5);
    expect(longer!.strengthFrac).to.be.above(longer!.sameFrac);
  });

  it('goes no coarser than the coarsest, and through no second paper', () => {
    const coarsest = { ...plan, grind: 'extra-coarse' as const };
    expect(next({ scores: { bitterness: 5 } }, coarsest).map(({ way }) => way)).to.deep.equal([
      'shorter',
    ]);
    const paper = { ...plan, filtration: { method: 'paper' as const, rinseG: 0 } };
    expect(next({ scores: { clean: 1 } }, paper).map(({ way }) => way)).to.deep.equal(['coarser']);
  });
});
