import { NOTHING_NOTED, type BatchInFull } from '@ratio/core/batch';
import { fitLog, observationOf } from '@ratio/core/learn';
import { placeOf } from './placeOf.ts';
import type { BlindTest } from '@ratio/core/tasting';
import { expect } from 'chai';
import { useComparePage } from '../../src/log/useComparePage.ts';
import { useCostPage } from '../../src/log/useCostPage.ts';
import { useLearningPage } from '../../src/log/useLearningPage.ts';
import { useLogPage } from '../../src/log/useLogPage.ts';
import { useTastingPage } from '../../src/log/useTastingPage.ts';
import { LATELY_PATH, useBatches } from '../../src/events/batches.ts';
import { useDraft } from '../../src/plan/draft.ts';
import { installBrowser, type Asked } from '../browser.ts';
import { batchOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

const settled = () => new Promise((resolve) => setTimeout(resolve, 30));
const plain = (text: string | undefined): string => (text ?? '').replaceAll(/\s/gu, ' ');

/** A batch that was strained and read. */
function readBatch(id: string, strengthFrac: number, over: Partial<BatchInFull> = {}): BatchInFull {
  const batch = batchOf({ id, status: 'strained', strainedAt: '2026-06-13T07:10:00.000Z' });
  const predictedAtStrain = {
    ...batch.predicted,
    strengthFrac: 0.035,
    strengthLowFrac: 0.032,
    strengthHighFrac: 0.038,
  };
  return {
    ...batch,
    strengthFrac,
    strengthBy: 'reading',
    predictedAtStrain,
    photos: [],
    probes: [],
    actuals: [
      {
        ...NOTHING_NOTED,
        id: `${id}-out`,
        batchId: id,
        kind: 'strained',
        at: '2026-06-13T07:10:00.000Z',
        massG: 2400,
        author: 'unsigned',
      },
    ],
    ...over,
  };
}
const line = (id: string, foundFrac: number | null) => ({
  id,
  coffeeName: 'Lot 14',
  coffeeId: 'lot-14',
  vesselName: 'Tall jar 6 L',
  grind: 'coarse',
  doseG: 800,
  waterG: 4000,
  method: 'drain',
  status: 'strained',
  startedAt: '2026-06-12T13:10:00.000Z',
  strainedAt: '2026-06-13T07:10:00.000Z',
  hours: 18,
  predictedFrac: 0.035,
  lowFrac: 0.032,
  highFrac: 0.038,
  foundFrac,
  predictedBrewG: 2400,
  brewG: null,
  model: 0,
  author: 'mara',
});

describe('pages of the log', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const open = <T>(
    path: string,
    use: () => T,
    answers: (request: Asked) => { status: number; body: unknown } | null,
  ) => withApp({ browser, path, use, answers });

  it('asks for the page that the address names, and says what was off', async () => {
    const page = await open(
      '/log?text=salt&sort=strength',
      () => useLogPage(),
      ({ path }) =>
        path.startsWith('/api/log?')
          ? {
              status: 200,
              body: { rows: [line('a', 0.031), line('b', null)], total: 120, page: 1 },
            }
          : null,
    );
    await settled();
    expect(browser.asked.some(({ path }) => /text=salt&.*sort=strength/.test(path))).to.equal(true);
    const [first, second] = page.lines.value;
    expect([first!.off, first!.isOutside, first!.ratio, first!.by]).to.deep.equal([
      '−11.4 %',
      true,
      '1:5.0',
      'mara',
    ]);
    expect([second!.found, second!.off, second!.brew]).to.deep.equal(['–', '', '–']);
    expect(page.pages.value).to.equal(5);
    page.change({ grind: 'medium' });
    await settled();
    expect(page.query.value).to.include({ grind: 'medium', text: 'salt', page: 1 });
  });

  it('says so where the log does not come', async () => {
    const page = await open(
      '/log',
      () => useLogPage(),
      ({ path }) =>
        path.startsWith('/api/log?')
          ? { status: 500, body: { detail: 'The disk is gone.' } }
          : null,
    );
    await settled();
    expect([page.state.value, page.failure.value]).to.deep.equal(['failed', 'The disk is gone.']);
  });

  it('learns from what was read, says how often the range held, and takes it into use', async () => {
    const batches = [
      0.0355, 0.036, 0.0345, 0.0365, 0.036, 0.0352, 0.0358, 0.0361, 0.0349, 0.02,
    ].map((frac, i) => readBatch(`b${i}`, frac));
    const versions: object[] = [];
    const page = await open(
      '/log/learning',
      () =>
        useLearningPage((all) =>
          Promise.resolve({
            fit: fitLog(
              all.flatMap((batch) => observationOf({ batch, observations: batch.actuals }) ?? []),
            ),
            batchCount: all.length,
          }),
        ),
      ({ path, method, body }) => {
        if (path === '/api/log/lately') return { status: 200, body: batches };
        if (path !== '/api/learned') return null;
        if (method === 'POST')
          versions.unshift({
            ...(body as object),
            number: versions.length + 1,
            at: '2026-06-13T06:40:00.000Z',
            author: 'unsigned',
          });
        return { status: method === 'POST' ? 201 : 200, body: versions };
      },
    );
    await settled();
    expect(page.state.value).to.equal('ready');
    expect(page.held.value).to.equal('The range held 9 of 10, 90 of 100. As it should be.');
    expect(page.outliers.value[0]!.text).to.match(/read \d+ % below the others; perhaps/);
    expect(page.taught.value.map(({ key }) => key)).to.deep.equal(['lot-9', 'any']);
    expect(page.next.value).to.match(
      /: the next strength of .* is then known to ±\d+ % instead of ±\d+ %\./,
    );
    expect(page.inUse.value).to.contain('handbook');
    await page.acceptLearned();
    expect(page.inUse.value).to.equal('Version 1 is in use, from 10 batches.');
    await page.useVersion(0);
    expect(page.inUse.value).to.contain('handbook');
    expect(page.versions.value[0]!.text).to.contain('version 1, from 10 batches');
    page.coffee.value = 'no such coffee';
    expect(page.points.value).to.deep.equal([]);
  });

  it('puts two batches side by side, and takes one as the next plan', async () => {
    const { plan } = batchOf();
    const [a, b] = [
      readBatch('a', 0.035),
      readBatch('b', 0.031, { plan: { ...plan, waterG: plan.waterG * 1.2 } }),
    ];
    const { page, drafts } = await open(
      '/log/compare?a=a&b=b',
      () => ({ page: useComparePage(), drafts: useDraft() }),
      ({ path }) => {
        const found = [a, b].find(({ id }) => path === `/api/batches/${id}`);
        return found ? { status: 200, body: found } : null;
      },
    );
    await settled();
    expect(
      page.rows.value.filter(({ differs }) => differs).map(({ title }) => title),
    ).to.deep.equal(['Water in', 'Ratio', 'Found']);
    const { explained } = page;
    expect(explained.value!.parts[0]!.name).to.equal('the ratio');
    expect(explained.value!.parts.at(-1)!.key).to.equal('left');
    expect(explained.value!.found).to.equal('−11.4 %');
    await page.like(1);
    expect(drafts.plan.waterG).to.equal(b.plan.waterG);
  });

  it('keeps scores, and runs a blind triangle to its verdict', async () => {
    let test: BlindTest | null = null;
    const { page, batches } = await open(
      '/log/tasting',
      () => ({ page: useTastingPage(), batches: useBatches() }),
      ({ path, method, body }) => {
        if (path === LATELY_PATH) return { status: 200, body: [readBatch('old', 0.03)] };
        if (path === '/api/blind-tests') return { status: 200, body: test ? [test] : [] };
        const [, id] = /^\/api\/blind-tests\/(.+)$/.exec(path) ?? [];
        if (id !== undefined && method === 'PUT') {
          test = { ...(body as BlindTest), id, version: (test?.version ?? 0) + 1 };
          return { status: 200, body: test };
        }
        return null;
      },
    );
    await batches.load();
    expect(page.tasted.value.map(({ value }) => value)).to.deep.equal(['one', 'old']);
    await page.keep({
      scores: { liking: 4 },
      taster: 'Mara',
      note: '',
      served: 'cold',
      diluted: false,
    });
    const kept = browser.asked.find(
      ({ path, method }) => path === '/api/tastings' && method === 'POST',
    );
    expect(kept!.body).to.deep.include({ of: 'one', kind: 'jug', taster: 'Mara' });

    await page.begin('triangle', 'one', 'old', 12);
    expect(page.question.value).to.contain('odd one');
    for (let i = 0; i < 12; i++) {
      expect(page.at.value).to.equal(i);
      const serving = page.test.value!.servings[i]!;
      await page.answer(i, placeOf(serving, i < 9), `t${i}`);
    }
    expect(page.at.value).to.equal(-1);
    expect(page.verdict.value).to.match(
      /^There is a difference: 9 of 12 are right, which guessing does in 1 of 100/,
    );
    expect(page.tests.value[0]).to.include({ kind: 'Triangle', done: 12, all: 12 });
  });

  it('adds up what coffee cost, and what another way would be worth', async () => {
    const week = {
      date: '2026-06-08',
      batchCount: 12,
      doseG: 10_000,
      brewG: 30_000,
      price: 280,
      discardedG: 500,
      discardedPrice: null,
    };
    const page = await open(
      '/log/cost',
      () => {
        const drafts = useDraft();
        drafts.restart();
        return useCostPage();
      },
      ({ path }) =>
        path === '/api/log/weeks'
          ? { status: 200, body: [week, { ...week, date: '2026-06-01', price: null }] }
          : null,
    );
    await settled();
    const [now, before] = page.lines.value;
    expect([plain(now!.cost), plain(now!.price), now!.retained]).to.deep.equal([
      '€280.00',
      '€9.33',
      '3.00 g per g',
    ]);
    expect([before!.cost, before!.price]).to.deep.equal(['–', '–']);
    const squeezed = page.changes.value.find(({ key }) => key === 'squeeze')!;
    expect(squeezed.worth).to.match(/^saves €/);
    expect(page.about.value).to.contain('of coffee a month');
  });
});
