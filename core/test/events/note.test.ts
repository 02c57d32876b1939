import { expect } from 'chai';
import { decide, type EventState, type ShopEvent } from '../../src/events/index.ts';
import { onGroundsId } from '../../src/events/onGrounds.ts';
import { contextOf, startedState, stateAfter } from './shop.ts';

const START = '2026-06-12T12:00:00.000Z';
const LATER = '2026-06-12T14:00:00.000Z';
const context = contextOf(LATER);
const noted = (request: object): ShopEvent => ({
  kind: 'note',
  batchId: 'b',
  request: { note: 'so', step: null, instrumentId: null, at: LATER, ...request } as never,
});
const after = (state: EventState, request: object): EventState =>
  stateAfter(state, noted(request), context);

describe('note', () => {
  it('moves the strain, and back where that is undone', () => {
    const until = '2026-06-13T10:00:00.000Z';
    const started = startedState({}, START);
    const moved = after(started, { id: 'm', kind: 'strain-moved', until });
    expect(moved.batches.get('b')).to.include({ endsAt: until, version: 2 });
    const back = after(moved, { id: 'u', kind: 'undone', undoes: 'm' });
    expect(back.batches.get('b')!.endsAt).to.equal(started.batches.get('b')!.endsAt);
    expect(back.batches.get('b')!.version).to.equal(3);
  });

  it('leaves the version of a batch that it says nothing new of', () => {
    const read = after(startedState({}, START), { id: 'r', kind: 'read', strengthFrac: 0.03 });
    expect(read.batches.get('b')!.version).to.equal(1);
    expect(read.observations.get('b')).to.have.length(1);
  });

  it('gives a batch up with what stood on its grounds, and its vessel is to be cleaned', () => {
    const started = startedState({ filtration: { method: 'on-grounds', rinseG: 0 } }, START);
    expect(started.jugs.get(onGroundsId('b'))!.onHandG).to.be.above(1000);
    const over = after(started, { id: 'g', kind: 'abandoned', note: 'mould' });
    const { status, abandonedFor, needsCleaning } = over.batches.get('b')!;
    expect([status, abandonedFor, needsCleaning]).to.deep.equal(['abandoned', 'mould', true]);
    expect(over.jugs.get(onGroundsId('b'))!.onHandG).to.equal(0);
  });

  it('is repeated without a second row, at the time that it was noted first', () => {
    const request = { id: 'a', kind: 'agitated', at: undefined };
    const once = after(startedState({}, START), request);
    const again = decide(once, noted(request), contextOf('2026-06-12T15:00:00.000Z'));
    expect(again).to.deep.include({ status: 'decided', rows: {} });
    const other = decide(once, noted({ id: 'a', kind: 'spilled', massG: 5 }), context);
    expect(other).to.include({ code: 'already_exists' });
  });

  const refusals = [
    {
      name: 'an undo of nothing',
      request: { id: 'u', kind: 'undone', undoes: 'x' },
      code: 'not_found',
    },
    {
      name: 'a spill of all of it',
      request: { id: 's', kind: 'spilled', massG: 5100 },
      code: 'out_of_range',
    },
    {
      name: 'a strain before the start',
      request: { id: 'm', kind: 'strain-moved', until: START },
      code: 'out_of_range',
    },
    {
      name: 'a vessel that is too small',
      request: { id: 'd', kind: 'decanted', vesselId: 'jug-2' },
      code: 'out_of_range',
    },
    {
      name: 'an unknown vessel',
      request: { id: 'd', kind: 'decanted', vesselId: 'x' },
      code: 'not_found',
    },
  ];
  for (const { name, request, code } of refusals)
    it(`refuses ${name}`, () => {
      expect(decide(startedState({}, START), noted(request), context)).to.include({
        status: 'refused',
        code,
      });
    });

  it('refuses what only a running batch can have', () => {
    const over = after(startedState({}, START), { id: 'g', kind: 'abandoned' });
    for (const request of [
      { id: 'h', kind: 'abandoned' },
      { id: 's', kind: 'spilled', massG: 5 },
      { id: 'd', kind: 'decanted', vesselId: 'jar' },
      { id: 'm', kind: 'strain-moved', until: LATER },
    ])
      expect(decide(over, noted(request), context)).to.include({ code: 'not_possible_now' });
  });
});

describe('split', () => {
  const split: ShopEvent = {
    kind: 'split',
    batchId: 'b',
    request: { id: 'part', vesselId: 'jug-1', shareFrac: 0.3, note: 'room' },
  };

  it('shares grounds, water and what was observed, and is split once', () => {
    const stirred = after(startedState({}, START), { id: 'a', kind: 'agitated' });
    const parted = stateAfter(stirred, split, context);
    const part = parted.batches.get('part')!;
    expect([part.plan.doseG, part.plan.waterG]).to.deep.equal([0.3 * 850, 0.3 * 4250]);
    expect(parted.observations.get('part')!.map(({ kind }) => kind)).to.deep.equal(['agitated']);
    expect(parted.observations.get('b')!.at(-1)).to.include({ kind: 'split-off', shareFrac: 0.3 });
    expect(decide(parted, split, context)).to.deep.include({ status: 'decided', rows: {} });
  });
});
