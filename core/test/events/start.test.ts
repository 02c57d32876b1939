import { expect } from 'chai';
import { decide } from '../../src/events/index.ts';
import { EMPTY_STATE } from '../../src/events/state.ts';
import { usualPlan } from '../usualPlan.ts';
import { contextOf, startedState } from './shop.ts';

const NOW = '2026-06-12T12:00:00.000Z';
const context = contextOf(NOW);
const startOf = (over: object = {}, plan = {}) =>
  ({
    kind: 'start',
    request: { id: 'c', plan: usualPlan(plan), startedAt: NOW, ...over },
  }) as const;

describe('start', () => {
  it('begins a batch in version 1, ends its draft, and knows that nothing was observed of it', () => {
    const decision = decide(EMPTY_STATE, startOf(), context);
    if (decision.status === 'refused') throw new Error(decision.detail);
    expect(decision.rows.startedDraftId).to.equal('c');
    expect(decision.state.batches.get('c')).to.include({ version: 1, startedAt: NOW });
    expect(decision.state.observations.get('c')).to.deep.equal([]);
  });

  it('predicts by what the log has taught', () => {
    const weaker = { value: Math.log(0.8), sigma: 0.01 };
    const sure = { value: 0, sigma: 0.01 };
    const coffee = { yieldLog: weaker, rateLog: sure, correlationFrac: 0 };
    const learned = { anyCoffee: coffee, coffees: { 'lot-1': coffee }, retainedGPerG: {} };
    const [byHandbook, byLog] = [null, { learned, version: 3 }].map((known) => {
      const decision = decide(EMPTY_STATE, startOf(), { ...context, learned: known });
      if (decision.status === 'refused') throw new Error(decision.detail);
      return decision.state.batches.get('c')!.predicted.strengthFrac;
    });
    // A fifth less dissolves, and strength follows the yield nearly in proportion.
    expect(byLog! / byHandbook!).to.be.within(0.79, 0.83);
  });

  const refusals = [
    { name: 'in a vessel that is in use', event: startOf(), code: 'not_possible_now' },
    {
      name: 'with more than the vessel holds',
      event: startOf({}, { waterG: 9000 }),
      code: 'out_of_range',
    },
    {
      name: 'of a coffee that nobody has',
      event: startOf({}, { coffeeId: 'none' }),
      code: 'not_found',
    },
    {
      name: 'later than now',
      event: startOf({ startedAt: '2026-06-12T13:00:00.000Z' }),
      code: 'out_of_range',
    },
    {
      name: 'with another plan under the same id',
      event: startOf({ id: 'b' }, { doseG: 800 }),
      code: 'already_exists',
    },
  ];
  for (const { name, event, code } of refusals)
    it(`is refused ${name}`, () => {
      expect(decide(startedState({}, NOW), event, context)).to.include({ status: 'refused', code });
    });
});
