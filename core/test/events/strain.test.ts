import { expect } from 'chai';
import { decide, type Decision, type EventState } from '../../src/events/index.ts';
import { onGroundsId } from '../../src/events/onGrounds.ts';
import { predictedStrain } from '../../src/events/strain.ts';
import { contextOf, startedState, stateAfter } from './shop.ts';

const START = '2026-06-12T12:00:00.000Z';
const END = '2026-06-13T06:00:00.000Z';
const jugs = [{ jugId: 'jug', volumeMl: 1000 }];
const strainOf = (state: EventState, request: object, seenVersion: number | null = 1): Decision =>
  decide(
    state,
    {
      kind: 'strain',
      batchId: 'b',
      seenVersion,
      request: { jugs, strainedAt: END, ...request },
    },
    contextOf(END),
  );

describe('strain', () => {
  it('counts what was poured off a batch on its grounds once', () => {
    const started = startedState({ filtration: { method: 'on-grounds', rinseG: 0 } }, START);
    const batch = started.batches.get('b')!;
    const whole = predictedStrain(started, batch, END);
    const poured = stateAfter(
      started,
      {
        kind: 'change-jug',
        jugId: onGroundsId('b'),
        request: { id: 'pour', kind: 'poured', massG: 700, note: '' },
      },
      contextOf(END),
    );
    const rest = predictedStrain(poured, batch, END);
    expect(rest.brewG).to.be.closeTo(whole.brewG - 700, 1e-9);
    expect(rest.strengthFrac).to.equal(whole.strengthFrac);
    const strained = strainOf(poured, { jugs: [{ jugId: 'jug', massG: rest.brewG }] });
    if (strained.status === 'refused') throw new Error(strained.detail);
    const all = [...strained.state.jugs.values()].reduce((sum, { onHandG }) => sum + onHandG, 0);
    // What was poured and what is left are what came out, 1 g to 1 g.
    expect(all + 700).to.be.closeTo(whole.brewG, 1e-9);
  });

  it('predicts by what was observed: less water, and a move to a warm counter', () => {
    const started = startedState({}, START);
    const noted = [
      { id: 'p', kind: 'poured' as const, massG: 3200, tempC: 12, step: 'bloom' },
      { id: 'm', kind: 'moved' as const, place: 'counter' as const, tempC: 24, step: null },
    ].reduce(
      (state, request) =>
        stateAfter(
          state,
          {
            kind: 'note',
            batchId: 'b',
            request: { note: '', instrumentId: null, at: START, ...request },
          },
          contextOf(START),
        ),
      started,
    );
    const planned = predictedStrain(started, started.batches.get('b')!, END);
    const observed = predictedStrain(noted, noted.batches.get('b')!, END);
    expect(observed.strengthFrac).to.be.above(1.2 * planned.strengthFrac);
    // 1050 g less water went in; the grounds hold as much as before, and a little more dissolves.
    expect(planned.brewG - observed.brewG).to.be.within(1000, 1050);
    const decision = strainOf(noted, {}, noted.batches.get('b')!.version);
    if (decision.status === 'refused') throw new Error(decision.detail);
    expect(decision.state.batches.get('b')!.strengthFrac).to.equal(observed.strengthFrac);
  });

  it('takes a reading for the strength, and caffeine follows it', () => {
    const state = startedState({}, START);
    const [asRead, asPredicted] = [{ strengthFrac: 0.02 }, {}].map((read) => {
      const decision = strainOf(state, read);
      if (decision.status === 'refused') throw new Error(decision.detail);
      return decision.state.jugs.get('jug')!;
    });
    expect(asRead).to.include({ strengthFrac: 0.02, readBy: 'refractometer', filledRange: null });
    expect(asRead!.caffeineMgPerG / asPredicted!.caffeineMgPerG).to.be.closeTo(
      0.02 / asPredicted!.strengthFrac,
      1e-12,
    );
  });

  const refusals = [
    {
      name: 'without the version that was seen',
      request: {},
      seen: null,
      code: 'version_required',
    },
    { name: 'in another version', request: {}, seen: 2, code: 'stale' },
    {
      name: 'of more than went in',
      request: { jugs: [{ jugId: 'jug', massG: 5200 }] },
      seen: 1,
      code: 'out_of_range',
    },
    {
      name: 'before the start',
      request: { strainedAt: '2026-06-12T11:00:00.000Z' },
      seen: 1,
      code: 'out_of_range',
    },
    {
      name: 'into one jug twice',
      request: { jugs: [...jugs, ...jugs] },
      seen: 1,
      code: 'already_exists',
    },
    {
      name: 'into a vessel that the shop does not have',
      request: { jugs: [{ jugId: 'jug', vesselId: 'none', volumeMl: 10 }] },
      seen: 1,
      code: 'not_found',
    },
  ];
  for (const { name, request, seen, code } of refusals)
    it(`is refused ${name}`, () => {
      expect(strainOf(startedState({}, START), request, seen)).to.include({
        status: 'refused',
        code,
      });
    });

  it('is refused where the batch was given up, and repeated where it is the same', () => {
    const started = startedState({}, START);
    const givenUp = stateAfter(
      started,
      {
        kind: 'note',
        batchId: 'b',
        request: { id: 'g', kind: 'abandoned', note: 'mould', step: null, instrumentId: null },
      },
      contextOf(END),
    );
    expect(strainOf(givenUp, {})).to.include({ code: 'not_possible_now' });
    const once = strainOf(started, {});
    if (once.status === 'refused') throw new Error(once.detail);
    expect(strainOf(once.state, {})).to.deep.include({ status: 'decided', rows: {} });
    const other = { jugs: [{ jugId: 'other', volumeMl: 10 }] };
    expect(strainOf(once.state, other)).to.include({ code: 'already_exists' });
  });
});
