import { matchColumns } from '@ratio/core/log';
import { expect } from 'chai';
import { nextTick } from 'vue';
import { useImportPage } from '../../src/log/useImportPage.ts';
import { createOldLogReader, type OldLogSense } from '../../src/log/oldLogReader.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { installBrowser } from '../browser.ts';
import { withApp } from '../withApp.ts';

const CSV = `Date;Coffee;Dose;Water;Hours;TDS
2.3.2026;Lot 9;800;4000;18;3.4 %
3.3.2026;Lot 9;a lot;4000;18;
4.3.2026;Lot 9;800;4000;18;`;

describe('useImportPage', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  const opened = async (text: string) => {
    const made = await withApp({
      browser,
      path: '/log/import',
      use: () => ({ page: useImportPage(createOldLogReader()), notice: useNotice() }),
    });
    await made.page.open(new File([text], 'old.csv'));
    return made;
  };
  /** What the server answers to the rows, line by line. */
  function answer(text: string, status = 200): void {
    const before = globalThis.fetch;
    Object.defineProperty(globalThis, 'fetch', {
      configurable: true,
      writable: true,
      value: (path: string, init?: RequestInit) =>
        path === '/api/log/import'
          ? Promise.resolve(new Response(text, { status }))
          : before(path, init),
    });
  }

  it('matches the columns, names what cannot be read, and takes the rest in', async () => {
    const { page, notice } = await opened(CSV);
    expect([page.isMatched.value, page.summary.value.good, page.summary.value.bad]).to.deep.equal([
      true,
      2,
      1,
    ]);
    expect(page.summary.value.problems[0]).to.include({ row: 3, column: 'dose' });
    // The same row is the same batch; two rows are two.
    expect(new Set(page.summary.value.preview.map(({ id }) => id)).size).to.equal(2);
    answer('{"lines":50}\n{"lines":2,"taken":1,"known":1}\n');
    await page.takeIn();
    expect(notice.shown?.text).to.equal('1 batches are in the log. 1 were there already.');
    expect(page.isOpen.value).to.equal(false);
  });

  it('says the server’s own sentence where nothing was taken in', async () => {
    const { page, notice } = await opened(CSV);
    answer('{"lines":50}\n{"problem":"Line 51, doseG: too much"}\n');
    await page.takeIn();
    expect(notice.shown?.text).to.equal('Line 51, doseG: too much');
    expect(page.isOpen.value).to.equal(true);
    answer('{"detail":"Not with this role."}', 403);
    await page.takeIn();
    expect(notice.shown?.text).to.equal('Not with this role.');
  });

  it('asks for the columns that it does not know, and follows the units', async () => {
    const { page } = await opened('a,b,c,d,e\n2.3.2026,Lot 9,0.8,4,18');
    expect(page.isMatched.value).to.equal(false);
    (['date', 'coffee', 'dose', 'water', 'hours'] as const).forEach((name, i) =>
      page.setColumn(name, i),
    );
    page.units.value = { mass: 'kilogram', water: 'litre' };
    await nextTick();
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(page.summary.value.preview[0]).to.include({ doseG: 800, waterG: 4000 });
  });

  it('says so of a file without rows', async () => {
    const { page } = await opened('Date,Coffee\n');
    expect(page.problem.value).to.contain('There is no row in it');
  });

  it('reads ten thousand rows, shows the first of what is wrong, and sends what is right', async () => {
    const rows = Array.from({ length: 10_000 }, (_, i) =>
      i % 50 === 49 ? '2.3.2026;Lot 9;;4000;18;' : `2.3.2026;Lot ${i};800;4000;18;3.4 %`,
    );
    const { page } = await opened(`Date;Coffee;Dose;Water;Hours;TDS\n${rows.join('\n')}`);
    const { good, bad, preview, problems, moreProblems } = page.summary.value;
    expect([good, bad, preview.length]).to.deep.equal([9_800, 200, 5]);
    expect([problems.length, moreProblems]).to.deep.equal([100, 100]);
    expect(problems[0]).to.include({ row: 51, column: 'dose' });
    let lines = 0;
    Object.defineProperty(globalThis, 'fetch', {
      configurable: true,
      writable: true,
      value: async (_: string, { body }: { body: Blob }) => {
        lines = (await body.text()).trimEnd().split('\n').length;
        return new Response('{"taken":9800}\n');
      },
    });
    await page.takeIn();
    expect(lines).to.equal(9_800);
  });

  it('sends all of what can be read, though a column is matched anew meanwhile', async () => {
    const rows = Array.from({ length: 3000 }, (_, i) => `2.3.2026;Lot ${i};800;4000;18`);
    const reader = createOldLogReader();
    await reader.open(new File([`Date;Coffee;Dose;Water;Hours\n${rows.join('\n')}`], 'old.csv'));
    const sense: OldLogSense = {
      match: matchColumns(['Date', 'Coffee', 'Dose', 'Water', 'Hours']),
      units: { mass: 'gram', water: 'gram' },
      nowMs: Date.parse('2026-06-13T06:40:00Z'),
      zone: 'Europe/Lisbon',
    };
    const [lines] = await Promise.all([reader.lines(sense), reader.summary(sense)]);
    expect((await lines.text()).trimEnd().split('\n')).to.have.length(3000);
  });
});
