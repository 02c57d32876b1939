import type { Batch } from '@ratio/core/batch';
import { expect } from 'chai';
import { nextTick, shallowRef } from 'vue';
import { LATELY_PATH, useBatches } from '../../src/events/batches.ts';
import { useInstrumentFeed } from '../../src/instruments/instrumentFeed.ts';
import { useInstruments } from '../../src/instruments/instruments.ts';
import { useBench } from '../../src/steep/useBench.ts';
import { useFilling } from '../../src/steep/useFilling.ts';
import { useLargeButton } from '../../src/steep/useLargeButton.ts';
import { useStepTexts } from '../../src/steep/useStepTexts.ts';
import { minutesAndSeconds } from '../../src/format/formatClock.ts';
import { useStepValue } from '../../src/steep/useStepValue.ts';
import { computed, ref } from 'vue';
import { LIDO_MORNING, lidoInstruments } from '../../../demo/lido.ts';
import { installBrowser, type Asked } from '../browser.ts';
import { batchOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

const startedAt = new Date(Date.parse(LIDO_MORNING) - 60_000).toISOString();
const fresh = batchOf({
  id: 'fresh',
  startedAt,
  endsAt: new Date(Date.parse(startedAt) + 18 * 3_600_000).toISOString(),
});

describe('a batch at the bench', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const wait = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms));

  /** The bench of a batch, with instruments where a test has them; the server keeps what is noted. */
  async function open(of: { batch?: Batch; instruments?: boolean } = {}) {
    const { batch = fresh, instruments = false } = of;
    const rows: object[] = [];
    const all = instruments ? lidoInstruments.map((one) => ({ ...one, version: 1 })) : [];
    const answers = ({ path, method, body }: Asked) => {
      if (path.endsWith('/actuals') && method === 'POST')
        rows.push({
          massG: null,
          tempC: null,
          strengthFrac: null,
          batchId: batch.id,
          author: 'unsigned',
          ...(body as object),
        });
      if (path.startsWith(`/api/batches/${batch.id}`))
        return { status: 200, body: { ...batch, actuals: rows } };
      if (path === LATELY_PATH) return { status: 200, body: [batch] };
      if (path === '/api/instruments') return { status: 200, body: all };
      if (path === '/api/instruments/states')
        return {
          status: 200,
          body: all.map(({ id }) => ({
            instrumentId: id,
            state: 'speaks',
            detail: '',
            malformed: 0,
            sample: null,
          })),
        };
      return null;
    };
    return withApp({
      browser,
      path: `/steep/${batch.id}`,
      answers,
      use: () => {
        const shown = shallowRef(batch);
        const bench = useBench(shown);
        const step = computed(() => bench.inHand.value?.step ?? null);
        const measured = useStepValue({ batchId: computed(() => batch.id), step });
        const filling = useFilling(shown);
        const button = useLargeButton({
          batch: shown,
          bench,
          measured,
          filling,
          refused: ref(null),
          leave: () => undefined,
        });
        const feed = useInstrumentFeed();
        return {
          bench,
          measured,
          texts: useStepTexts(shown),
          rows,
          ...button,
          key: () => step.value?.key ?? null,
          says: (instrumentId: string, sample: object) =>
            feed.said.trigger(
              JSON.stringify({
                instrumentId,
                state: 'speaks',
                detail: '',
                malformed: 0,
                sample: {
                  instrumentId,
                  atMs: Date.parse(LIDO_MORNING),
                  massG: null,
                  tempC: null,
                  brix: null,
                  sampleC: null,
                  isSteady: true,
                  ...sample,
                },
              }),
            ),
          ready: async () => {
            await useInstruments().load();
            await useBatches().load();
            await useBatches().loadInFull(batch.id);
            await nextTick();
          },
        };
      },
    });
  }
  /** Longer than a press after a change is ignored. */
  const settled = (): Promise<void> => wait(720);

  it('by hand: the planned amount stands there to be confirmed, and is noted as weighed', async () => {
    const at = await open();
    await at.ready();
    expect(at.button.value).to.deep.equal({ text: 'Weighed 800\u202fg', isOff: false });
    await at.press();
    expect(at.rows[0]).to.include({ kind: 'weighed', massG: 800, step: 'weigh' });
    expect(at.key()).to.equal('grind');
  });

  it('a press right after a step has changed is not meant for it', async () => {
    const at = await open();
    await at.ready();
    await at.press();
    await at.press();
    expect(at.rows).to.have.length(1);
    await settled();
    await at.press();
    expect(at.rows).to.have.length(2);
  });

  it('back takes the last one back; a tapped one is looked at, and taken back by the same button', async () => {
    const at = await open();
    await at.ready();
    await at.press();
    await settled();
    await at.back();
    expect(at.rows[1]).to.include({ kind: 'undone' });
    expect(at.key()).to.equal('weigh');
    await settled();
    await at.press();
    at.bench.pick('weigh');
    await settled();
    expect(at.button.value.text).to.equal('Take it back');
  });

  it('a scale: nothing, moving, steady; a pour counts from what lay there before it', async () => {
    const at = await open({ instruments: true });
    await at.ready();
    expect(at.button.value).to.deep.equal({ text: 'Waiting for Bench scale', isOff: true });
    await at.says('bench-scale', { massG: 0.3 });
    expect(at.button.value.text).to.equal('Nothing on the scale yet');
    await at.says('bench-scale', { massG: 640, isSteady: false });
    expect(at.button.value.text).to.equal('It still moves');
    await at.says('bench-scale', { massG: 901 });
    expect(at.button.value.text).to.equal('Weighed 901\u202fg');
    await at.press();
    expect(at.rows[0]).to.include({ massG: 901, instrumentId: 'bench-scale' });
    for (const key of ['tare', 'bloom']) {
      await settled();
      // Tared, with a little on it.
      await at.says('bench-scale', { massG: 5 });
      await at.press();
      expect(at.key()).to.equal(key);
    }
    await at.says('bench-scale', { massG: 2205 });
    expect(at.measured.value.value).to.equal(2200);
  });

  it('what a scale said a while ago is not what it says now', async () => {
    const at = await open({ instruments: true });
    await at.ready();
    await at.says('bench-scale', { massG: 640 });
    const real = performance.now;
    try {
      performance.now = () => real.call(performance) + 6000;
      // The page looks again each second, and whenever anything is said.
      await at.says('fridge-probe', { tempC: 4 });
      expect(at.measured.isLive.value).to.equal(false);
      expect(at.measured.state.value).to.include({ state: 'silent' });
    } finally {
      performance.now = real;
    }
  });

  it('a refractometer reads coffee strength, warns of a cold drop, and means several', async () => {
    const at = await open({ instruments: true });
    await at.ready();
    at.bench.pick('read');
    await nextTick();
    await at.says('refractometer', { brix: 4.4, sampleC: 8, isSteady: false });
    expect(at.button.value.text).to.equal('Wait until the drop has settled');
    expect(at.measured.warnings.value[0]).to.match(/8 °C/);
    await at.says('refractometer', { brix: 4, sampleC: 20 });
    // 0.85 · 4 °Bx.
    expect(at.measured.value.value).to.be.closeTo(0.034, 1e-9);
    at.measured.anotherDrop();
    await at.says('refractometer', { brix: 4.4, sampleC: 20 });
    expect(at.measured.value.value).to.be.closeTo(0.0357, 1e-9);
    expect(at.button.value.text).to.equal('Read 3.57\u202f%');
  });

  it('where nothing measures it, what came out is typed first', async () => {
    const at = await open();
    await at.ready();
    at.bench.pick('weigh-out');
    expect(at.button.value).to.deep.equal({ text: 'Type what it weighs', isOff: true });
    at.measured.type(2400);
    expect(at.button.value.text).to.match(/2400/);
  });

  it('a strain long before its hour says so', async () => {
    const at = await open();
    await at.ready();
    at.bench.pick('strain');
    expect(at.button.value.text).to.match(/^Strain it now: 17\s?h 59\s?min early$/);
  });

  it('rows say what was noted, what is planned, and when', async () => {
    const at = await open();
    await at.ready();
    await at.press();
    const says = Object.fromEntries(
      at.bench.progress.value.states.map((state) => [state.step.key, at.texts.saysOf(state)]),
    );
    expect(says).to.include({ weigh: '800\u202fg', sink: '3:00', grind: '' });
    expect(says['strain']).to.match(/^\d\d:\d\d$/);
  });

  it('time that is left, and time that is over', () => {
    expect([125_000, 0, -40_000, 3_725_000].map(minutesAndSeconds)).to.deep.equal([
      '2:05',
      '0:00',
      '−0:40',
      '1:02:05',
    ]);
  });
});
