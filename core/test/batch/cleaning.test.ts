import { expect } from 'chai';
import {
  filterUse,
  leavesToClean,
  uncleanedAfter,
  washedFilterOf,
} from '../../src/batch/cleaning.ts';
import { ANY_VESSEL_ID } from '../../src/brew/vessel.ts';
import { FRIDGE_PLAN } from './plans.ts';

const batch = (id: string, over: object = {}) => ({
  id,
  plan: { ...FRIDGE_PLAN, vesselId: 'jar' },
  movedTo: null as { vesselId: string; vesselName: string } | null,
  needsCleaning: true,
  cleanedAt: null as string | null,
  endsAt: '2026-06-12T06:00:00.000Z',
  ...over,
});
const dirty = (batches: ReturnType<typeof batch>[], vesselId = 'jar'): string | null =>
  uncleanedAfter({ batches, vesselId })?.id ?? null;

describe('cleaning', () => {
  it('a vessel is clean until a batch has left it to be cleaned, and once that is noted', () => {
    expect(dirty([])).to.equal(null);
    expect(dirty([batch('a', { needsCleaning: false })])).to.equal(null);
    expect(dirty([batch('a')])).to.equal('a');
    expect(dirty([batch('a', { cleanedAt: '2026-06-12T07:00:00.000Z' })])).to.equal(null);
  });
  it('names the last batch of the vessel that it really stood in', () => {
    const later = batch('b', { endsAt: '2026-06-13T06:00:00.000Z' });
    expect(dirty([later, batch('a')])).to.equal('b');
    const moved = batch('c', { movedTo: { vesselId: 'bucket', vesselName: 'Bucket' } });
    expect([dirty([moved]), dirty([moved], 'bucket')]).to.deep.equal([null, 'c']);
  });
  it('of any vessel, and in a shop that leaves cleaning out, there is nothing to clean', () => {
    const steps = [
      { key: 'clean', title: '', watch: '', waitMinutes: null, photoId: null, leftOut: true },
    ];
    const any = { plan: { ...FRIDGE_PLAN, vesselId: ANY_VESSEL_ID } };
    expect(leavesToClean({ batch: batch('a'), shopSteps: [] })).to.equal(true);
    expect(leavesToClean({ batch: batch('a'), shopSteps: steps })).to.equal(false);
    expect(leavesToClean({ batch: any, shopSteps: [] })).to.equal(false);
  });

  const BAGGED = { ...FRIDGE_PLAN, vesselId: 'jar', bed: 'held' as const, doseG: 850 };
  const bags = (count: number) => [
    { kind: 'bag', takesG: 500, count },
    { kind: 'paper', takesG: 1000, count: 100 },
  ];
  const bagged = (id: string, over: object = {}) => ({
    ...batch(id, { plan: BAGGED, ...over }),
    status: 'strained' as 'strained' | 'steeping',
  });
  const useOf = (batches: ReturnType<typeof bagged>[], count: number) =>
    filterUse({ plan: BAGGED, batches, filters: bags(count) });

  for (const [plan, filter] of [
    [{ bed: 'held', method: 'drain' }, 'bag'],
    [{ bed: 'loose', method: 'squeeze' }, 'bag'],
    [{ bed: 'held', method: 'insert' }, 'insert'],
    [{ bed: 'loose', method: 'paper' }, null],
    [{ bed: 'loose', method: 'press' }, null],
  ] as const)
    it(`washes ${filter ?? 'nothing'} after ${plan.method} of a ${plan.bed} bed`, () => {
      const of = { bed: plan.bed, filtration: { method: plan.method, rinseG: 0 } };
      expect(washedFilterOf(of)).to.equal(filter);
    });

  it('counts bags that steep and bags that nobody has washed; 850 g take two of 500 g', () => {
    expect(useOf([], 4)).to.deep.equal({
      kind: 'bag',
      needs: 2,
      free: 4,
      whole: 4,
      unwashedAfter: null,
    });
    const washed = bagged('a', { cleanedAt: '2026-06-12T07:00:00.000Z' });
    const steeping = { ...bagged('b', { needsCleaning: false }), status: 'steeping' as const };
    expect(useOf([washed, steeping], 4)!.free).to.equal(2);
    const later = bagged('d', { endsAt: '2026-06-13T06:00:00.000Z' });
    const all = useOf([bagged('c'), later, washed, steeping], 5)!;
    expect([all.free, all.unwashedAfter!.id]).to.deep.equal([0, 'd']);
  });
  it('knows nothing of bags that are not on the shelf, and needs none for a loose bed', () => {
    expect(filterUse({ plan: BAGGED, batches: [], filters: bags(1).slice(1) })).to.equal(null);
    expect(filterUse({ plan: FRIDGE_PLAN, batches: [], filters: bags(1) })).to.equal(null);
  });
});
