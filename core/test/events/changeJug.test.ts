import { expect } from 'chai';
import { decide, type EventState, type ShopEvent } from '../../src/events/index.ts';
import { EMPTY_STATE } from '../../src/events/state.ts';
import type { JugEntryRequest } from '../../src/jug/schema.ts';
import { contextOf, stateAfter } from './shop.ts';

const NOW = '2026-06-13T06:00:00.000Z';
const context = contextOf(NOW);

/** A jug of a litre, made elsewhere and read at 4 %, and one of half a litre at 2 %. */
const twoJugs = (): EventState =>
  [
    { id: 'strong', onHandG: 1000, strengthFrac: 0.04 },
    { id: 'weak', onHandG: 500, strengthFrac: 0.02 },
  ].reduce(
    (state, jug) =>
      stateAfter(
        state,
        { kind: 'add-jug', request: { label: jug.id, madeAt: NOW, capacityMl: 1500, ...jug } },
        context,
      ),
    EMPTY_STATE,
  );
const changed = (jugId: string, request: object): ShopEvent => ({
  kind: 'change-jug',
  jugId,
  request: { note: '', ...request } as JugEntryRequest,
});
const after = (state: EventState, ...events: ShopEvent[]): EventState =>
  events.reduce((now, event) => stateAfter(now, event, context), state);
const refusal = (state: EventState, event: ShopEvent) => decide(state, event, context);

describe('changeJug', () => {
  it('counts a jug, and pours from what was counted', () => {
    const state = after(
      twoJugs(),
      changed('strong', { id: 'c', kind: 'counted', massG: 400 }),
      changed('strong', { id: 'p', kind: 'poured', massG: 100 }),
    );
    expect(state.jugs.get('strong')).to.include({ onHandG: 300, lastEntryId: 'p' });
  });

  it('blends two jugs: mass and solids stay', () => {
    const state = after(
      twoJugs(),
      changed('weak', { id: 'b', kind: 'blended', fromJugId: 'strong', massG: 300 }),
    );
    const [strong, weak] = [state.jugs.get('strong')!, state.jugs.get('weak')!];
    expect([strong.onHandG, weak.onHandG]).to.deep.equal([700, 800]);
    expect(weak.onHandG * weak.strengthFrac).to.be.closeTo(500 * 0.02 + 300 * 0.04, 1e-9);
  });

  it('undoes a blend in both jugs, and recalculates what was done since', () => {
    const blended = after(
      twoJugs(),
      changed('weak', { id: 'b', kind: 'blended', fromJugId: 'strong', massG: 300 }),
      changed('weak', { id: 'w', kind: 'watered', massG: 100 }),
    );
    const undone = after(blended, changed('weak', { id: 'u', kind: 'undone', entryId: 'b' }));
    expect(undone.jugs.get('strong')!.onHandG).to.equal(1000);
    expect(undone.jugs.get('weak')!.strengthFrac).to.be.closeTo((500 * 0.02) / 600, 1e-12);
    // The water's row records what the jug is from then on.
    expect(undone.entries.find(({ id }) => id === 'w')!.strengthFrac).to.be.closeTo(
      10 / 600,
      1e-12,
    );
  });

  it('corrects what a jug was filled with, and all that follows', () => {
    const state = after(twoJugs(), changed('strong', { id: 'p', kind: 'poured', massG: 100 }));
    const filledId = state.entries.find(
      ({ jugId, kind }) => jugId === 'strong' && kind === 'filled',
    )!.id;
    const request = {
      id: 'k',
      kind: 'corrected',
      entryId: filledId,
      massG: 900,
      reason: 'misread',
    };
    expect(after(state, changed('strong', request)).jugs.get('strong')!.onHandG).to.equal(800);
  });

  const entry = { id: 'p', kind: 'poured', massG: 100 };
  const refusals = [
    {
      name: 'more than is in it',
      event: changed('strong', { ...entry, massG: 1001 }),
      code: 'not_possible_now',
    },
    {
      name: 'more water than it has room for',
      event: changed('weak', { id: 'w', kind: 'watered', massG: 1200 }),
      code: 'not_possible_now',
    },
    {
      name: 'a blend with itself',
      event: changed('weak', { id: 'b', kind: 'blended', fromJugId: 'weak', massG: 1 }),
      code: 'not_found',
    },
    { name: 'an unknown jug', event: changed('none', entry), code: 'not_found' },
    {
      name: 'what is still to come',
      event: changed('strong', { ...entry, at: '2026-06-13T06:06:00.000Z' }),
      code: 'out_of_range',
    },
    {
      name: 'an undo of nothing',
      event: changed('strong', { id: 'u', kind: 'undone', entryId: 'none' }),
      code: 'not_found',
    },
  ];
  for (const { name, event, code } of refusals)
    it(`refuses ${name}`, () => {
      expect(refusal(twoJugs(), event)).to.include({ status: 'refused', code });
    });

  it('repeats nothing, refuses something else under the same identity, and a second undo', () => {
    const once = after(twoJugs(), changed('strong', entry));
    expect(refusal(once, changed('strong', entry))).to.deep.include({
      status: 'decided',
      rows: {},
    });
    expect(refusal(once, changed('strong', { ...entry, massG: 90 }))).to.include({
      code: 'already_exists',
    });
    expect(refusal(once, changed('weak', entry))).to.include({ code: 'already_exists' });
    const undone = after(once, changed('strong', { id: 'u', kind: 'undone', entryId: 'p' }));
    const again = changed('strong', { id: 'v', kind: 'undone', entryId: 'p' });
    expect(refusal(undone, again)).to.include({ code: 'already_exists' });
  });

  it('says which later row could not have been without an earlier one', () => {
    const state = after(
      twoJugs(),
      changed('weak', { id: 'b', kind: 'blended', fromJugId: 'strong', massG: 400 }),
      changed('weak', { id: 'p', kind: 'poured', massG: 800 }),
    );
    const undo = refusal(state, changed('weak', { id: 'u', kind: 'undone', entryId: 'b' }));
    expect(undo).to.include({ status: 'refused', code: 'not_possible_now' });
    expect(undo).to.have.property('detail').that.contains('800 g were drawn off later');
  });
});
