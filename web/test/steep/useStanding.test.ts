import { expect } from 'chai';
import { useStanding } from '../../src/steep/useStanding.ts';
import { LATELY_PATH, useBatches } from '../../src/events/batches.ts';
import { installBrowser } from '../browser.ts';
import { batchOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

describe('useStanding', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });

  it('grows stronger by the hour, in the vessel that it is in', async () => {
    const { plan } = batchOf();
    const { standing, batches } = await withApp({
      browser,
      path: '/steep',
      answers: ({ path }) =>
        path === LATELY_PATH
          ? {
              status: 200,
              body: [
                batchOf({ id: 'early', startedAt: '2026-06-13T05:40:00.000Z' }),
                batchOf({ id: 'late', plan: { ...plan, vesselId: 'any-vessel' } }),
              ],
            }
          : null,
      use: () => ({ standing: useStanding(), batches: useBatches() }),
    });
    await batches.load();
    const [early, late] = ['early', 'late'].map((id) => standing.value.get(id)!);
    expect(Number.parseFloat(early!.strength)).to.be.below(Number.parseFloat(late!.strength));
    expect(early!.drawn.vessel.id).to.equal('tall-jar');
    // 4000 g of water and what 800 g of grounds displace.
    expect(early!.drawn.slurryMl).to.be.within(4500, 4700);
    expect(late!.drawn.vessel.brimMl).to.be.above(late!.drawn.slurryMl);
  });
});
