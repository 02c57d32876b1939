import type { SampleSet } from '@ratio/core/batch';
import { expect } from 'chai';
import { useSampleSets } from '../../src/samples/useSampleSets.ts';
import { useDraft } from '../../src/plan/draft.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { useSettings } from '../../src/shop/settings.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';
import { batchOf } from '../documents.ts';

describe('useSampleSets', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  async function open(bench: 'planned' | 'untouched' = 'planned') {
    const kept = new Map<string, SampleSet>();
    const page = await withApp({
      browser,
      path: '/plan/samples',
      answers: ({ method, path, body, version }) => {
        if (!path.startsWith('/api/samples')) return null;
        if (method !== 'PUT') return { status: 200, body: [...kept.values()] };
        const id = path.split('/').at(-1)!;
        const saved = {
          ...(body as SampleSet),
          id,
          version: Number(version!.replaceAll('"', '')) + 1,
        };
        kept.set(id, saved);
        return { status: 200, body: saved };
      },
      use: () => {
        if (bench === 'planned') useDraft().takePlan(batchOf().plan);
        return {
          page: useSampleSets(),
          drafts: useDraft(),
          notice: useNotice(),
          settings: useSettings(),
        };
      },
    });
    return { ...page, kept };
  }

  it('makes a jar of every combination, by grind and ratio', async () => {
    const { page } = await open();
    expect(page.jars.value.map(({ grind, ratio }) => `${grind} ${ratio}`)).to.deep.equal([
      'coarse 5',
      'coarse 7',
      'medium 5',
      'medium 7',
    ]);
    page.hours.value = [12, 18, 24];
    expect(page.count.value).to.equal(12);
    // Nine can be tasted side by side.
    expect(page.jars.value).to.deep.equal([]);
  });

  it('starts a set on a tablet where nothing was planned yet', async () => {
    const { page, kept } = await open('untouched');
    await page.start();
    const [set] = [...kept.values()];
    expect(set!.plan.coffeeId).to.equal(page.coffee.value!.id);
    expect(set!.plan.vesselId).to.not.equal('');
  });

  it('keeps the order of grinds, whichever was tapped first', async () => {
    const { page } = await open();
    page.pickGrinds(['medium', 'coarse', 'extra-coarse']);
    expect(page.grinds.value).to.deep.equal(['extra-coarse', 'coarse', 'medium']);
  });

  it('weighs a small jar to a tenth of a gram, a large one as the shop does', async () => {
    const { page, settings } = await open();
    expect(page.mass(62.5)).to.equal('62.5\u202fg');
    expect(page.mass(900)).to.equal('900\u202fg');
    settings.toggleUnits();
    expect(page.mass(62.5)).to.match(/oz$/);
  });

  it('starts them together, scores them, and takes the best into the plan', async () => {
    const { page, drafts, notice, kept } = await open();
    await page.start();
    expect(notice.notice!.text).to.equal('4 jars are steeping.');
    const [set] = [...kept.values()];
    expect(set).to.include({ version: 1, startedAt: '2026-06-13T06:40:00.000Z' });
    expect(page.strainAt(set!.startedAt)(18)).to.equal('Sun 01:40');
    expect(page.strainAt(null)(18)).to.equal('after 18 h');
    expect(page.startedText(set!.startedAt)).to.equal('since Sat 07:40');
    await page.score(set!, 4, 5);
    expect(notice.notice!.text).to.equal('Jar 4: 5 of 5.');
    expect([...kept.values()][0]!.jars[3]).to.include({ score: 5 });
    await page.take(set!, 4);
    expect(drafts.plan.grind).to.equal('medium');
    expect(drafts.plan.waterG / drafts.plan.doseG).to.be.closeTo(7, 0.05);
  });

  it('takes a jar that was never started, and nothing for a number that is not there', async () => {
    const { page, drafts } = await open();
    const before = drafts.plan;
    await page.takeNew(9);
    expect(drafts.plan).to.equal(before);
    await page.takeNew(3);
    expect(drafts.plan.grind).to.equal('medium');
  });

  it('says what is not saved yet, and is ready again', async () => {
    const { page, notice } = await open();
    browser.answer(() => ({ status: 0, body: null }));
    await page.start();
    expect(notice.notice!.text).to.contain('Kept here until the server is back');
    expect(page.busy.value).to.equal(false);
  });
});
