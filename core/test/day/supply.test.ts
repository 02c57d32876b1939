import { expect } from 'chai';
import { USUAL_MODEL } from '../../src/brew/model.ts';
import { helpsOf, type Help } from '../../src/day/helps.ts';
import { lastsUntil } from '../../src/day/supply.ts';
import { usualPlan } from '../usualPlan.ts';

const HOUR_MS = 3_600_000;
/** A kilogram an hour from hour 0 on, known to the quarter of an hour. */
const forecast = {
  runOut: (onHandG: number) => ({
    lowMs: (onHandG / 1000) * HOUR_MS * 0.9,
    atMs: (onHandG / 1000) * HOUR_MS,
    highMs: (onHandG / 1000) * HOUR_MS * 1.1,
  }),
};
const hours = (ms: number | null | undefined): number | null => (ms == null ? null : ms / HOUR_MS);

describe('lastsUntil', () => {
  it('adds what comes before it is gone, and nothing that comes after', () => {
    const arrivals = [
      { atMs: 9 * HOUR_MS, massG: 5000 },
      { atMs: 3 * HOUR_MS, massG: 2000 },
    ];
    expect(hours(lastsUntil({ forecast, onHandG: 4000, arrivals }).atMs)).to.equal(6);
    expect(hours(lastsUntil({ forecast, onHandG: 8000, arrivals }).atMs)).to.equal(15);
    expect(hours(lastsUntil({ forecast, onHandG: 2000, arrivals }).atMs)).to.equal(2);
  });

  it('judges early and late days each by itself', () => {
    const arrivals = [{ atMs: 3.9 * HOUR_MS, massG: 2000 }];
    const { lowMs, highMs } = lastsUntil({ forecast, onHandG: 4000, arrivals });
    // On an early day it is gone at 3.6 h, before more comes.
    expect(hours(lowMs)).to.be.closeTo(3.6, 1e-9);
    expect(hours(highMs)).to.be.closeTo(6.6, 1e-9);
  });
});

describe('helpsOf', () => {
  const plan = usualPlan();
  const helps = (readyByHours: number, onHandG = 6000) =>
    helpsOf({
      forecast,
      onHandG,
      strengthFrac: 0.036,
      arrivals: [],
      steeping: [{ batchId: 'b', massG: 2000, strengthFrac: 0.025 }],
      plan,
      model: USUAL_MODEL,
      roomC: 24,
      nowMs: 0,
      readyByMs: readyByHours * HOUR_MS,
    });
  const of = <W extends Help['way']>(way: W, all = helps(6)) =>
    all.find((help): help is Extract<Help, { way: W }> => help.way === way);

  // By hand: 6 h less 40 min of draining is 5 h 20 min: 5 h on the counter, ready at 5 h 40 min.
  it('steeps on the counter for the hours that there are', () => {
    const hurry = of('hurry')!;
    expect(hurry.plan.steep).to.deep.equal([{ place: 'counter', tempC: 24, hours: 5 }]);
    expect(hours(hurry.readyMs)).to.be.closeTo(5 + 2 / 3, 1e-9);
    expect(hurry.strengthFrac).to.be.within(0.02, 0.036);
  });

  it('offers no steep of an hour or two, and none that is no quicker', () => {
    expect(of('hurry', helps(3))).to.equal(undefined);
    expect(of('hurry', helps(40))).to.equal(undefined);
  });

  // By hand: 10 % less in each drink makes 6 kg last for 6.667 h.
  it('says what thinner drinks, water and an early strain come to', () => {
    expect(hours(of('thinner')!.untilMs)).to.be.closeTo(6.667, 1e-3);
    expect(of('water')!.massG).to.be.closeTo(666.7, 0.1);
    expect(of('water')!.strengthFrac).to.be.closeTo(0.0324, 1e-9);
    expect(hours(of('strain-now')!.untilMs)).to.equal(8);
  });

  it('stretches nothing where nothing is on hand', () => {
    expect(helps(0, 0).map(({ way }) => way)).to.deep.equal(['strain-now']);
  });
});
