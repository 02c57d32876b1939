import { NOTHING_NOTED, type ObservationRow } from '@ratio/core/batch';
import { progressOf, stepsOf } from '@ratio/core/steps';
import { expect } from 'chai';
import { computed, shallowRef } from 'vue';
import { useFilling } from '../../src/steep/useFilling.ts';
import { useNextSteps } from '../../src/steep/useNextSteps.ts';
import { useNights } from '../../src/steep/useNights.ts';
import { useVesselDrawn } from '../../src/steep/useVesselDrawn.ts';
import { LATELY_PATH, useBatches } from '../../src/events/batches.ts';
import { runningSteep } from '@ratio/core/batch';
import { LIDO_MORNING } from '../../../demo/lido.ts';
import { installBrowser } from '../browser.ts';
import { batchOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

const MORNING = Date.parse(LIDO_MORNING);
const row = (step: string, over: Partial<ObservationRow> = {}): ObservationRow => ({
  id: step,
  batchId: 'b',
  kind: 'done',
  at: LIDO_MORNING,
  ...NOTHING_NOTED,
  step,
  author: 'unsigned',
  ...over,
});
const OUT = [
  row('strain'),
  row('weigh-out', { kind: 'came-out', massG: 3500 }),
  row('read', { kind: 'read', strengthFrac: 0.034 }),
];

describe('what stands around the steps', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });

  /** Filling a batch of which another tablet has noted something. */
  const filling = async (actuals: ObservationRow[]) => {
    const batch = batchOf();
    const { batches, ...rest } = await withApp({
      browser,
      path: '/steep/steeping',
      jugs: [],
      answers: ({ path }) =>
        path === '/api/batches/steeping'
          ? { status: 200, body: { ...batch, actuals, probes: [], photos: [] } }
          : null,
      use: () => ({ ...useFilling(shallowRef(batch)), batches: useBatches() }),
    });
    await batches.loadInFull(batch.id);
    return rest;
  };

  it('what came out goes into the largest free jugs, with the strength and the hour that were noted', async () => {
    const { form, button } = await filling(OUT);
    const { fills, strengthFrac, strainedMs } = form.value.entered;
    expect([strengthFrac, strainedMs]).to.deep.equal([0.034, MORNING]);
    expect(fills.reduce((sum, { amount }) => sum + (amount ?? 0), 0)).to.be.closeTo(3500, 1e-6);
    expect(fills).to.have.length(2);
    expect(fills[0]!.amount).to.be.above(fills[1]!.amount!);
    expect(button.value).to.include({ isOff: false });
    expect(button.value.text).to.match(/^Fill .* and .*: 3\.4\d\s?L$/);
  });

  it('what is more than the jugs take goes into another one', async () => {
    const { form } = await filling([row('weigh-out', { kind: 'came-out', massG: 30_000 })]);
    expect(form.value.entered.fills.at(-1)!.vesselId).to.equal('other');
  });

  it('where nobody weighed it, it is asked for', async () => {
    expect((await filling([])).button.value).to.deep.equal({
      text: 'Say what came out',
      isOff: true,
    });
  });

  const drawnAt = (actuals: ObservationRow[], key: string, comingG = 0) =>
    withApp({
      browser,
      path: '/steep/steeping',
      use: () => {
        const batch = batchOf({ startedAt: LIDO_MORNING });
        const steps = stepsOf({ plan: batch.plan });
        const progress = computed(() =>
          progressOf({ batch, steps, observations: actuals, nowMs: MORNING }),
        );
        return useVesselDrawn({
          batch: shallowRef(batch),
          progress,
          step: computed(() => steps.find((step) => step.key === key) ?? null),
          comingG: () => comingG,
          strengthFrac: () => 0.02,
        });
      },
    });

  it('the vessel is empty, holds dry grounds, fills as it is poured, keeps its bed, and is clean', async () => {
    const { plan } = batchOf();
    const pour = row('bloom', { kind: 'poured', massG: plan.waterG / 2, tempC: 12 });
    const levels = [
      await drawnAt([], 'weigh'),
      await drawnAt([row('tare')], 'bloom'),
      await drawnAt([row('tare')], 'bloom', 500),
      await drawnAt([row('tare'), pour], 'sink'),
      await drawnAt([row('tare'), pour, row('put-away')], 'strain'),
      await drawnAt([row('tare'), pour, row('strain')], 'hang'),
      await drawnAt([row('clean')], 'clean'),
    ].map(({ drawn }) => drawn.value.slurryMl);
    const [empty, dry, pouring, bloomed] = levels as [number, number, number, number];
    expect(empty).to.equal(0);
    // Loose coarse coffee has 0.32 g/mL (practice).
    expect(dry).to.be.closeTo(plan.doseG / 0.32, 1);
    expect(pouring).to.be.closeTo(500 + 0.77 * plan.doseG, 2);
    expect(bloomed).to.be.closeTo(plan.waterG / 2 + 0.77 * plan.doseG, 5);
    expect(levels.at(-2)).to.be.closeTo(2.77 * plan.doseG, 1);
    expect(levels.at(-1)).to.equal(0);
  });

  it('says up to where the step goes', async () => {
    const { drawn, fullMl, vessel } = await drawnAt([row('tare')], 'bloom');
    expect(drawn.value.lines.map(({ text, isNow }) => [text, isNow]).slice(0, 2)).to.deep.equal([
      ['to here', true],
      ['full', false],
    ]);
    expect(fullMl.value).to.be.below(vessel.value.brimMl);
    expect(drawn.value.text).to.contain('in it');
  });

  it('next at each batch: the step, and when it is unless that is the end of the steep', async () => {
    const stirred = batchOf({
      id: 'stirred',
      plan: { ...batchOf().plan, agitationHours: [17.75] },
    });
    const { next, batches } = await withApp({
      browser,
      path: '/steep',
      answers: ({ path }) =>
        path === LATELY_PATH ? { status: 200, body: [batchOf(), stirred] } : null,
      use: () => ({ next: useNextSteps(), batches: useBatches() }),
    });
    await batches.load();
    expect(next.value.get('steeping')).to.deep.equal({ text: 'Strain it', when: '' });
    expect(next.value.get('stirred')!.when).to.match(/^Sat 07:55, in 15\s?min$/);
  });

  it('nights are the hours in which nobody is in', async () => {
    const batch = batchOf();
    const nights = await withApp({
      browser,
      path: '/steep',
      use: () =>
        useNights(
          shallowRef(
            runningSteep({ batch, observations: [], nowMs: Date.parse(batch.startedAt) + 1000 }),
          ),
        ),
    });
    // From 14:10, the crew is out from 21 to 6.
    expect(nights.value[0]!.fromHours).to.be.closeTo(6.83, 0.26);
    expect(nights.value[0]!.toHours).to.be.closeTo(15.83, 0.26);
  });
});
