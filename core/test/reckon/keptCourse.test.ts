import { expect } from 'chai';
import { keptCourse } from '../../src/reckon/keptCourse.ts';
import { reckonPlan } from '../../src/reckon/reckonPlan.ts';
import type { Plan } from '../../src/schemas/batch.ts';
import { expectNear } from '../near.ts';

const plan: Plan = {
  coffeeId: 'a',
  vesselId: 'b',
  grind: 'coarse',
  doseG: 900,
  waterG: 4500,
  waterC: 12,
  wetting: 'stages',
  steep: [{ place: 'fridge', tempC: 4, hours: 18 }],
  agitationHours: [],
  separation: { method: 'kept', rinseG: 0 },
};
const coffee = { solubleFrac: 0.215, robustaFrac: 0, decafFrac: 0 };

describe('keptCourse', () => {
  const course = keptCourse({ plan, coffee, fridgeC: 4 });

  it('begins with the strength that the plan gives, and lasts seven days counting the first', () => {
    const { outcome } = reckonPlan({
      plan,
      coffee,
      vessel: { brimMl: 6100, shaken: false },
      horizonHours: 30,
    });
    expectNear(course[0]!.strengthFrac, outcome.strengthFrac, 1e-12);
    expect(course.map(({ days }) => days)).to.deep.equal([0, 1, 2, 3, 4, 5, 6]);
  });

  it('grows stronger every day, by less each day, and never past what the coffee gives', () => {
    const most = (0.215 * 5) / 5.5 / (5 + (0.215 * 5) / 5.5);
    let gained = Infinity;
    for (let i = 1; i < course.length; i++) {
      const gain = course[i]!.strengthFrac - course[i - 1]!.strengthFrac;
      expect(gain).to.be.within(0, gained);
      gained = gain;
    }
    expect(course.at(-1)!.strengthFrac).to.be.below(most);
  });
});
