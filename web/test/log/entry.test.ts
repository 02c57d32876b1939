import { NOTHING_NOTED } from '@ratio/core/batch';
import { expect } from 'chai';
import { useEntryPage } from '../../src/log/useEntryPage.ts';
import { useDraft } from '../../src/plan/draft.ts';
import { installBrowser } from '../browser.ts';
import { batchOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

const plain = (text: string | undefined): string => (text ?? '').replaceAll(/\s/gu, ' ');

describe('useEntryPage', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const batch = {
    ...batchOf({
      id: 'old',
      status: 'strained',
      strainedAt: '2026-06-13T07:10:00.000Z',
      strengthFrac: 0.0158,
      strengthBy: 'reading',
    }),
    photos: [],
    probes: [],
    actuals: [
      {
        ...NOTHING_NOTED,
        id: 'weighed',
        batchId: 'old',
        kind: 'weighed',
        at: '2026-06-12T13:10:00.000Z',
        massG: 801,
        author: 'Mara',
      },
      ...[
        { id: 'ground', kind: 'done', step: 'grind' },
        { id: 'tare', kind: 'skipped', step: 'tare' },
        { id: 'own', kind: 'done', step: 'an-old-step', note: 'by hand' },
        { id: 'pour', kind: 'poured', step: 'pour', massG: 4000, tempC: 12 },
      ].map((one) => ({
        ...NOTHING_NOTED,
        batchId: 'old',
        at: '2026-06-12T13:20:00.000Z',
        author: 'unsigned',
        ...one,
      })),
      {
        ...NOTHING_NOTED,
        id: 'remark',
        batchId: 'old',
        kind: 'remarked',
        at: '2026-06-12T14:10:00.000Z',
        note: 'Cut *short* | today',
        author: 'unsigned',
      },
    ],
  };
  const taste = (scores: object, i: number) => ({
    id: `t${i}`,
    at: '2026-06-13T08:00:00.000Z',
    author: 'unsigned',
    of: 'old',
    kind: 'batch',
    taster: 'Mara',
    note: i === 1 ? 'like bark' : '',
    said: { served: 'cold', diluted: false, scores },
  });
  const bitter = [taste({ bitterness: 5 }, 1), taste({ bitterness: 4 }, 2)];
  const opened = ({
    found = {},
    tastings = bitter,
  }: { found?: object; tastings?: object[] } = {}) =>
    withApp({
      browser,
      path: '/log/batch/old',
      answers: ({ path }) => {
        if (path === '/api/batches/old') return { status: 200, body: { ...batch, ...found } };
        if (path === '/api/tastings/old') return { status: 200, body: tastings };
        return null;
      },
      use: () => ({ page: useEntryPage(), drafts: useDraft() }),
    });
  const settled = () => new Promise((resolve) => setTimeout(resolve, 30));

  it('says what it was, what happened, and how it tasted', async () => {
    const { page } = await opened();
    await settled();
    expect(page.state.value).to.equal('ready');
    expect(page.rows.value.map(({ text, by }) => [plain(text), by])).to.deep.equal([
      ['weighed 801 g', 'Mara'],
      ['ground', ''],
      ['left out: Put the vessel on the scale and tare it', ''],
      ['an old step: by hand', ''],
      ['poured 4000 g at 12 °C', ''],
      ['Cut *short* | today', ''],
    ]);
    expect(page.facts.value.find(({ name }) => name === 'Predicted by')!.text).to.equal(
      'the handbook',
    );
    expect(page.said.value).to.deep.equal(['bitterness 4.5']);
    expect(page.notes.value.map(({ note }) => note)).to.deep.equal(['like bark']);
  });

  it('offers what to change, each with its reason, as a plan', async () => {
    const { page, drafts } = await opened();
    await settled();
    // Read 10 % below the 1.75 % that it was to have, and bitter.
    expect(page.next.value.map(({ key }) => key)).to.deep.equal([
      'stronger',
      'longer',
      'coarser',
      'shorter',
    ]);
    expect(page.next.value[0]!.why).to.contain('weaker');
    await page.next.value[0]!.open();
    expect(drafts.plan.waterG / drafts.plan.doseG).to.be.below(
      batch.plan.waterG / batch.plan.doseG,
    );
    await page.like();
    expect(drafts.plan.waterG).to.equal(batch.plan.waterG);
  });

  it('has nothing to change where it was read as planned, and asks only for what is missing', async () => {
    const asPlanned = { strengthFrac: batch.predicted.strengthFrac };
    const noteOf = async (of: Parameters<typeof opened>[0]) => {
      const { page } = await opened(of);
      await settled();
      expect(page.next.value).to.deep.equal([]);
      return page.nothingToChange.value;
    };
    const unread = { strengthBy: 'prediction' };
    expect(await noteOf({ found: unread, tastings: [] })).to.match(/^Take a reading or score/);
    expect(await noteOf({ found: asPlanned, tastings: [] })).to.equal(
      'It was read as planned: nothing to change. Score the taste, and this counts it too.',
    );
    expect(await noteOf({ found: asPlanned, tastings: [taste({ sweetness: 3 }, 2)] })).to.equal(
      'It was read as planned, and its scores ask for nothing else.',
    );
    expect(await noteOf({ found: unread, tastings: [taste({ sweetness: 3 }, 2)] })).to.equal(
      'Its scores ask for nothing else. Take a reading, and this counts it too.',
    );
  });

  it('goes out as Markdown in which nothing breaks the table, and as JSON', async () => {
    const saved: { name: string; blob: Blob }[] = [];
    const { createObjectURL, revokeObjectURL } = URL;
    URL.createObjectURL = (blob) => {
      saved.push({ name: '', blob: blob as Blob });
      return 'blob:it';
    };
    URL.revokeObjectURL = () => undefined;
    Object.assign(document, {
      createElement: () => ({
        set download(name: string) {
          saved.at(-1)!.name = name;
        },
        click: () => undefined,
      }),
    });
    const { page } = await opened();
    await settled();
    page.saveMarkdown();
    page.saveJson();
    Object.assign(URL, { createObjectURL, revokeObjectURL });
    expect(saved.map(({ name }) => name)).to.deep.equal(['old.md', 'old.json']);
    const text = await saved[0]!.blob.text();
    expect(text).to.match(/^# Lot 14, /);
    expect(text).to.contain('Cut \\*short\\* \\| today');
    expect(JSON.parse(await saved[1]!.blob.text())).to.include({ id: 'old', strengthFrac: 0.0158 });
  });
});
