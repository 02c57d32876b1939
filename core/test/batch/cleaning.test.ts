import { expect } from 'chai';
import { leavesToClean, uncleanedAfter } from '../../src/batch/cleaning.ts';
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
});
