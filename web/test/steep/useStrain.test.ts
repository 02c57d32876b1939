import type { Batch } from '@ratio/core/batch';
import { expect } from 'chai';
import { ref } from 'vue';
import { useStrain } from '../../src/steep/useStrain.ts';
import { useJugs } from '../../src/events/jugs.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { installBrowser, type Handler } from '../browser.ts';
import { batchOf, jugOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

describe('useStrain', () => {
  let browser: ReturnType<typeof installBrowser>;
  /** Whether the page stands: what it read before is past. */
  let read = false;
  beforeEach(() => (read = false));
  before(() => {
    browser = installBrowser();
  });
  const open = (answer: Handler = () => ({ status: 200, body: batchOf({ status: 'strained' }) })) =>
    withApp({
      browser,
      path: '/steep',
      jugs: [jugOf({ vesselId: 'jug-1' })],
      answers: (request) => {
        if (request.path.endsWith('/strain')) return answer(request);
        // Another one was filled meanwhile.
        if (request.path !== '/api/jugs' || !read) return null;
        return {
          status: 200,
          body: [jugOf({ vesselId: 'jug-1' }), jugOf({ id: 'b', vesselId: 'jug-2' })],
        };
      },
      use: () => {
        const batch = ref<Batch>(batchOf());
        read = true;
        return { batch, ...useStrain(batch), jugs: useJugs(), notice: useNotice() };
      },
    });

  it('offers the jugs that are empty, and takes nothing for what came out', async () => {
    const { form } = await open();
    const { free, entered } = form.value;
    expect(free.map(({ id }) => id)).to.deep.equal(['jug-2', 'jug-3', 'jug-4']);
    expect(entered.fills[0]).to.include({ vesselId: 'jug-2', amount: null });
    expect(entered).to.include({ strengthFrac: null, strainedMs: null });
  });

  it('fills the same jug while others are filled meanwhile, so that its field stays', async () => {
    const { form, batch, jugs } = await open();
    const { jugId, vesselId } = form.value.entered.fills[0]!;
    await jugs.load();
    batch.value = batchOf();
    expect(form.value.entered.fills[0]!.vesselId).not.to.equal(vesselId);
    expect(form.value.entered.fills[0]!.jugId).to.equal(jugId);
  });

  it('says what early and late do, by the hours that it had', async () => {
    const { change, form } = await open();
    // 07:40 now, planned to 08:10.
    expect(form.value.expected.timingText).to.match(/^30.min early: /);
    const planned = form.value.expected.strengthFrac;
    change({ strainedMs: Date.parse('2026-06-12T13:40:00Z') });
    expect(form.value.expected.timingText).to.match(
      /^17.h 30.min early: \d\.\d.% instead of \d\.\d.%\.$/,
    );
    expect(form.value.expected.isFarOff).to.equal(true);
    expect(form.value.expected.strengthFrac).to.be.below(0.6 * planned);
  });

  it('says what does not fit, and sends each amount as it was seen', async () => {
    const { setFill, addFill, form, strain } = await open();
    setFill(0, { vesselId: 'jug-3', amount: 1900, seenAs: 'volume' });
    expect(form.value.whyNot[0]).to.match(/takes 1\.50.L: 40\d.mL do not fit/);
    setFill(0, { amount: 1400 });
    expect(form.value.whyNot[0]).to.equal('');
    addFill();
    setFill(1, { vesselId: 'other', amount: 480, seenAs: 'mass' });
    const [a, b] = form.value.entered.fills;
    expect(await strain()).to.equal(true);
    const sent = browser.asked.find(({ method }) => method === 'POST')!;
    expect(sent.body).to.deep.equal({
      jugs: [
        { jugId: a!.jugId, vesselId: 'jug-3', volumeMl: 1400 },
        { jugId: b!.jugId, massG: 480 },
      ],
      strainedAt: '2026-06-13T06:40:00.000Z',
    });
    // What was entered of it is done with.
    expect(form.value.entered.fills[0]!.amount).to.equal(null);
  });

  it('keeps what was entered where the server refuses it, and tells it anew', async () => {
    const detail = 'Jug 2 still holds Jug 2.';
    const { setFill, form, strain, notice } = await open(() => ({
      status: 409,
      body: { detail },
    }));
    setFill(0, { amount: 900 });
    const { jugId } = form.value.entered.fills[0]!;
    expect(await strain()).to.equal(false);
    expect(notice.shown?.text).to.equal(detail);
    expect(form.value.entered.fills[0]!.amount).to.equal(900);
    expect(form.value.entered.fills[0]!.jugId).not.to.equal(jugId);
  });
});
