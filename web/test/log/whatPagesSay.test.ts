import type { ObservationRow, BatchInFull } from '@ratio/core/batch';
import { learnedModel } from '@ratio/core/brew';
import { fitLog, observationOf } from '@ratio/core/learn';
import type { LogRow } from '@ratio/core/log';
import type { BlindTest, Tasting } from '@ratio/core/tasting';
import { expect } from 'chai';
import { nextTick } from 'vue';
import { useRoute } from 'vue-router';
import { lidoSeason } from '../../../demo/season.ts';
import { useComparePage } from '../../src/log/useComparePage.ts';
import { useCostPage } from '../../src/log/useCostPage.ts';
import { useEntryPage } from '../../src/log/useEntryPage.ts';
import { times } from '../../src/log/taught.ts';
import { useLearningPage } from '../../src/log/useLearningPage.ts';
import { useLogPage } from '../../src/log/useLogPage.ts';
import { useTastingPage } from '../../src/log/useTastingPage.ts';
import { useBatches } from '../../src/events/batches.ts';
import { useDraft } from '../../src/plan/draft.ts';
import { useNotice } from '../../src/sync/notice.ts';
import { useShop } from '../../src/shop/shop.ts';
import { installBrowser, type Handler } from '../browser.ts';
import { batchOf } from '../documents.ts';
import { withApp } from '../withApp.ts';

const season = lidoSeason();
/** The season's batches, as the log answers them. */
const lately: readonly BatchInFull[] = season.batches.map((batch) => ({
  ...batch,
  actuals: season.observations.filter(({ batchId }) => batchId === batch.id),
  photos: [],
  probes: [],
}));
const plain = (text: string): string => text.replaceAll(/\s/gu, ' ');
const settled = async (): Promise<void> => {
  for (let i = 0; i < 8; i++) await new Promise((resolve) => setTimeout(resolve));
};
const nothing = { value: 0, sigma: 0.1 };
const UNLEARNED = { yieldLog: nothing, rateLog: nothing, correlationFrac: 0 };
const actual = (part: Partial<ObservationRow>): ObservationRow => ({
  ...lately[0]!.actuals[0]!,
  step: null,
  massG: null,
  tempC: null,
  strengthFrac: null,
  note: '',
  ...part,
});

describe('what the log’s pages say', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });
  async function page<T>(
    path: string,
    use: () => T,
    answers: (request: Parameters<Handler>[0]) => ReturnType<Handler> | null,
  ) {
    const made = await withApp({
      browser,
      path,
      answers,
      use: () => ({
        of: use(),
        route: useRoute(),
        drafts: useDraft(),
        shelf: useShop(),
        notice: useNotice(),
        batches: useBatches(),
      }),
    });
    await settled();
    return made;
  }
  const only =
    (wanted: string, body: unknown) =>
    ({ path }: { path: string }): ReturnType<Handler> | null =>
      path.startsWith(wanted) ? { status: 200, body } : null;
  const sent = (path: string) =>
    browser.asked.filter((one) => one.path === path && one.method !== 'GET');

  /** What the log was asked for last; a draft may be saved meanwhile. */
  const askedOfLog = () => browser.asked.findLast(({ path }) => path.startsWith('/api/log?'))!.path;

  describe('its lines', () => {
    const row: LogRow = {
      id: 'one',
      coffeeName: 'Lot 14',
      coffeeId: 'lot-14',
      vesselName: 'Tall jar 6 L',
      grind: 'coarse',
      doseG: 850,
      waterG: 4250,
      method: 'drain',
      status: 'strained',
      startedAt: '2026-06-12T13:10:00.000Z',
      strainedAt: '2026-06-13T07:10:00.000Z',
      hours: 18,
      predictedFrac: 0.036,
      lowFrac: 0.033,
      highFrac: 0.039,
      foundFrac: 0.0396,
      predictedBrewG: 2500,
      brewG: null,
      model: 0,
      author: 'unsigned',
    };
    const rows = [
      row,
      { ...row, id: 'two', foundFrac: 0.0342, brewG: 2440, author: 'Early shift' },
      { ...row, id: 'three', hours: null, status: 'steeping' as const, foundFrac: null },
    ];

    // By hand: 3.96 / 3.6 is 10 % above, and above its range; 3.42 / 3.6 is 5 % below, within it.
    it('say what was found beside what was predicted, and what lies outside its range', async () => {
      const { of } = await page('/log', useLogPage, only('/api/log?', { rows, total: 3, page: 1 }));
      expect(of.state.value).to.equal('ready');
      expect(of.lines.value.map(({ off, isOutside }) => [off, isOutside])).to.deep.equal([
        ['+10.0 %', true],
        ['−5.0 %', false],
        ['', false],
      ]);
      expect(of.lines.value.map(({ hours, by }) => [hours, by])).to.deep.equal([
        ['18.0 h', ''],
        ['18.0 h', 'Early shift'],
        ['steeping', ''],
      ]);
      expect(of.lines.value.map(({ found, brew }) => [plain(found), plain(brew)])).to.deep.equal([
        ['3.96 %', '–'],
        ['3.42 %', '2440 g'],
        ['–', '–'],
      ]);
      expect(of.lines.value[0]!.date).to.equal('Fri 12 Jun 14:10');
      expect([of.total.value, of.pages.value]).to.deep.equal([3, 1]);
    });

    it('are sought as the address says, and a search begins on its first page', async () => {
      const { of, route } = await page(
        '/log?text=lot&page=3&sort=strength',
        useLogPage,
        only('/api/log?', { rows: [], total: 120, page: 3 }),
      );
      expect(askedOfLog()).to.contain('text=lot');
      expect(of.pages.value).to.equal(5);
      of.change({ coffee: 'Lot 14' });
      await settled();
      expect(route.query).to.deep.equal({ text: 'lot', sort: 'strength', coffee: 'Lot 14' });
    });

    it('are 25 on the screen: two of its pages are one answer of 50', async () => {
      const fifty = Array.from({ length: 50 }, (_, i) => ({ ...row, id: `line-${i + 51}` }));
      const answer = { rows: fifty, total: 120, page: 2 };
      for (const { shown, first, last } of [
        { shown: 3, first: 'line-51', last: 'line-75' },
        { shown: 4, first: 'line-76', last: 'line-100' },
      ]) {
        const { of } = await page(`/log?page=${shown}`, useLogPage, only('/api/log?', answer));
        expect(askedOfLog()).to.match(/\bpage=2$/);
        expect([of.lines.value[0]!.id, of.lines.value.at(-1)!.id]).to.deep.equal([first, last]);
      }
    });

    it('take an address that means nothing for none, and say why they are not there', async () => {
      const { of } = await page('/log?sort=loudness', useLogPage, ({ path }) =>
        path.startsWith('/api/log?') ? { status: 503, body: { detail: 'Not now.' } } : null,
      );
      expect(of.query.value.sort).to.equal('date');
      expect([of.state.value, of.failure.value]).to.deep.equal(['failed', 'Not now.']);
      browser.answer(() => ({ status: 200, body: { rows, total: 3, page: 1 } }));
      await of.load();
      expect(of.state.value).to.equal('ready');
    });
  });

  describe('one batch', () => {
    const tasting = (scores: Tasting['said']['scores']): Tasting => ({
      id: `tasting-${scores.bitterness}`,
      at: '2026-06-13T09:00:00.000Z',
      author: 'unsigned',
      of: 'one',
      kind: 'batch',
      taster: 'Early shift',
      note: 'a little woody',
      said: { scores, served: 'cold', diluted: true },
    });
    const entry: BatchInFull = {
      ...batchOf({
        id: 'one',
        status: 'strained',
        strainedAt: '2026-06-13T07:10:00.000Z',
        strengthFrac: 0.0165,
        strengthBy: 'reading',
        model: learnedModel({
          model: batchOf().model,
          coffeeId: 'lot-14',
          learned: { anyCoffee: UNLEARNED, coffees: {}, retainedGPerG: {} },
          version: 3,
        }),
      }),
      actuals: [
        actual({ id: 'a', kind: 'weighed', massG: 851, author: 'Early shift' }),
        actual({ id: 'b', kind: 'done', step: 'grind', author: 'unsigned' }),
        actual({ id: 'c', kind: 'read', strengthFrac: 0.0165, tempC: 21, note: 'stirred' }),
      ],
      photos: [],
      probes: [],
    };
    const answers = ({ path }: { path: string }) =>
      path === '/api/batches/one'
        ? { status: 200, body: entry }
        : path === '/api/tastings/one'
          ? { status: 200, body: [tasting({ bitterness: 4 }), tasting({ bitterness: 5 })] }
          : null;
    const open = () => page('/log/batch/one', useEntryPage, answers);

    it('has what happened in order, who did it, and by which model it was predicted', async () => {
      const { of } = await open();
      expect(of.state.value).to.equal('ready');
      expect(of.rows.value.map(({ text }) => plain(text))).to.deep.equal([
        'weighed 851 g',
        'ground',
        'read 1.65 % at 21 °C: stirred',
      ]);
      expect(of.rows.value[0]!.by).to.equal('Early shift');
      expect(of.rows.value[1]!.by).to.equal('');
      const fact = (name: string) => of.facts.value.find((one) => one.name === name)?.text;
      expect(fact('Predicted by')).to.contain('version 3');
      expect(fact('Strained')).to.equal('Sat 13 Jun 08:10');
      expect(of.foundFrac.value).to.equal(0.0165);
    });

    it('says what to change next time, and opens it as a plan', async () => {
      const { of, route, drafts } = await open();
      // (4 + 5) / 2.
      expect(of.said.value).to.deep.equal(['bitterness 4.5']);
      const bitter = of.next.value.filter(({ why }) => why === 'It tasted bitter');
      expect(bitter).to.not.have.length(0);
      await bitter[0]!.open();
      expect(route.path).to.equal('/plan');
      expect(drafts.plan).to.not.deep.equal(entry.plan);
      await of.like();
      expect(drafts.plan).to.deep.equal(entry.plan);
    });

    it('that was not read has found nothing, and says by whom it is not there', async () => {
      const { of } = await page('/log/batch/one', useEntryPage, ({ path }) =>
        path === '/api/batches/one' ? { status: 404, body: { detail: 'No such batch.' } } : null,
      );
      expect([of.state.value, of.failure.value]).to.deep.equal(['failed', 'No such batch.']);
      expect([of.facts.value, of.next.value, of.foundFrac.value, of.title.value]).to.deep.equal([
        [],
        [],
        null,
        '',
      ]);
    });
  });

  it('two batches side by side differ where they did, and what is left is named', async () => {
    const of14 = lately.filter((one) => one.plan.coffeeId === 'lot-14' && one.strengthFrac);
    const [a, b] = [of14[0]!, of14[3]!];
    const { of, route, drafts, notice } = await page(
      `/log/compare?a=${a.id}&b=${b.id}`,
      useComparePage,
      ({ path }) => {
        const one = lately.find(({ id }) => path === `/api/batches/${id}`);
        return one ? { status: 200, body: one } : null;
      },
    );
    expect(of.names.value).to.have.length(2);
    const row = (title: string) => of.rows.value.find((one) => one.title === title)!;
    expect(row('Coffee').differs).to.equal(false);
    expect(row('Began').differs).to.equal(true);
    const { parts, predicted, found } = of.explained.value!;
    const log = (text: string): number =>
      Math.log1p(Number(text.replace('−', '-').replace(/[+ %\s]/g, '')) / 100);
    // Shares of a difference add up to it, in logarithms, and what is left closes it.
    const explained = parts.filter(({ key }) => key !== 'left');
    const sum = explained.reduce((all, { byFrac }) => all + byFrac, 0);
    expect(sum).to.be.closeTo(log(predicted), 0.004);
    expect(sum + parts.at(-1)!.byFrac).to.be.closeTo(log(found!), 0.004);
    await of.like(1);
    expect([route.path, drafts.plan.doseG]).to.deep.equal(['/plan', b.plan.doseG]);
    expect(notice.notice?.text).to.contain('A plan like');
  });

  it('two are compared once the address names two', async () => {
    const { of } = await page('/log/compare?a=x', useComparePage, () => null);
    expect([of.isAsked.value, of.rows.value]).to.deep.equal([false, []]);
  });

  it('one of two that is not there is said', async () => {
    const { of } = await page('/log/compare?a=x&b=y', useComparePage, ({ path }) =>
      path.startsWith('/api/batches/') ? { status: 404, body: { detail: 'No such batch.' } } : null,
    );
    expect([of.state.value, of.explained.value, of.rows.value]).to.deep.equal(['failed', null, []]);
    await of.like(0);
  });

  describe('what it teaches', () => {
    const learn = (batches: readonly BatchInFull[]) => {
      const seen = batches.flatMap(
        (one) => observationOf({ batch: one, observations: one.actuals, probes: one.probes }) ?? [],
      );
      return Promise.resolve({ fit: fitLog(seen), batchCount: seen.length });
    };
    const open = (batches: readonly BatchInFull[] = lately.slice(0, 40)) =>
      page('/log/learning', () => useLearningPage(learn), only('/api/log/lately', batches));

    it('is shown by coffee with ranges, and how often the range held', async () => {
      const { of } = await open();
      expect(of.state.value).to.equal('ready');
      expect(of.points.value.length).to.be.above(20);
      expect(of.held.value).to.match(/^The range held \d+ of \d+, \d+ of 100\. /u);
      expect(of.taught.value.at(-1)!.name).to.equal('A coffee nobody has read');
      for (const row of of.taught.value)
        for (const known of [row.yieldLog, row.rateLog])
          expect(times(known)).to.match(/^\d\.\d\d \(\d\.\d\d to \d\.\d\d\)$/u);
      expect(of.retained.value[0]).to.match(
        /^drain: 2\.\d\d ± 0\.\d\d g per g, the handbook says/u,
      );
      expect(of.loss.value).to.match(
        /^Of the water poured \d\.\d % ± \d\.\d % (goes without coffee|comes in with wet bags); the/u,
      );
      expect(of.next.value).to.match(/: the next strength of .+ is then known to ±\d+ % instead/u);
      const [first] = of.points.value;
      of.coffee.value = first!.label.split(', ')[0]!;
      expect(of.points.value.every(({ label }) => label.startsWith(of.coffee.value))).to.equal(
        true,
      );
    });

    it('is shown by vessel too, with the days on which the mill was set again', async () => {
      const { of } = await open();
      const all = of.points.value.length;
      const [, tall] = of.vessels.value;
      of.vessel.value = tall!.value;
      expect(of.points.value.length).to.be.above(0).and.below(all);
      of.vessel.value = '';
      const whole = await open(lately);
      // The lido's was set wrong on 25 May, and right on 1 June.
      expect(whole.of.millSetMs.value.map(whole.of.dayOf)).to.deep.equal([
        'Mon 25 May',
        'Mon 1 Jun',
      ]);
    });

    it('of too few is not judged, of none is nothing', async () => {
      const few = await open(
        lately.filter(({ strengthBy }) => strengthBy === 'reading').slice(0, 3),
      );
      expect(few.of.held.value).to.contain('Too few to judge');
      const none = await open([]);
      expect([none.of.held.value, none.of.canAccept.value]).to.deep.equal(['', false]);
    });

    it('is accepted by the lead, and taken back to what was in use before', async () => {
      const { of, notice } = await open();
      expect(of.inUse.value).to.equal('The handbook’s values are in use.');
      await of.acceptLearned();
      const [first] = sent('/api/learned');
      expect(first!.body).to.include({ batchCount: of.batchCount.value });
      expect(notice.notice?.text).to.contain(`what ${of.batchCount.value} of them taught`);
      await notice.notice!.undo!();
      expect(sent('/api/learned').at(-1)!.body).to.include({ learned: null, batchCount: 0 });
      await of.useVersion(7);
      expect(notice.notice?.text).to.equal('Batches are predicted by the handbook.');
    });

    it('that the server does not take is said', async () => {
      const { of, notice } = await page(
        '/log/learning',
        () => useLearningPage(learn),
        (request) =>
          request.path === '/api/learned' && request.method === 'POST'
            ? { status: 403, body: { detail: 'Only a lead accepts it.' } }
            : only('/api/log/lately', lately.slice(0, 12))(request),
      );
      await of.acceptLearned();
      expect(notice.notice?.text).to.contain('Only a lead accepts it.');
    });
  });

  describe('tasting', () => {
    const blind = (part: Partial<BlindTest> = {}): BlindTest => ({
      id: 'blind-1',
      version: 1,
      kind: 'triangle',
      a: 'Jug 1',
      b: 'Jug 2',
      aId: null,
      bId: null,
      begunAt: '2026-06-13T06:00:00.000Z',
      servings: Array.from({ length: 12 }, (_, i) => ({
        cups: [
          { side: 'A' as const, code: '111' },
          { side: 'A' as const, code: '222' },
          { side: 'B' as const, code: '333' },
        ],
        picked: i < 8 ? 2 : 0,
        taster: '',
      })),
      ...part,
    });

    const open = (tests: readonly BlindTest[], refuse = false) => {
      const kept = new Map(tests.map((one) => [one.id, one]));
      return page('/log/tasting', useTastingPage, ({ path, method, body }) => {
        if (method !== 'GET' && refuse) return { status: 409, body: { detail: 'Not so.' } };
        if (path === '/api/blind-tests') return { status: 200, body: [...kept.values()] };
        if (path.startsWith('/api/blind-tests/')) {
          const id = path.split('/').at(-1)!;
          kept.set(id, { ...(body as BlindTest), id, version: 1 });
          return { status: 200, body: kept.get(id) };
        }
        return null;
      });
    };

    // ISO 4120: eight of twelve are right by chance in 2 of 100 triangles.
    it('says what twelve answers come to', async () => {
      const { of } = await open([blind()]);
      expect(of.tests.value[0]).to.include({ done: 12, all: 12, kind: 'Triangle' });
      expect(of.tests.value[0]!.verdict).to.contain('8 of 12 are right');
      expect(of.tests.value[0]!.verdict).to.contain('2 of 100');
    });

    it('says when nothing is shown, and what would be missed', async () => {
      const none = blind({
        servings: blind().servings.map((one) => ({ ...one, picked: 0 })),
      });
      const { of } = await open([none]);
      expect(of.tests.value[0]!.verdict).to.match(
        /No difference is shown: 0 of 12 .* you would miss/u,
      );
    });

    it('of a preference names the better one, or that there is none', async () => {
      const cups = [
        { side: 'A' as const, code: '111' },
        { side: 'B' as const, code: '222' },
      ];
      const of12 = (a: number): BlindTest =>
        blind({
          id: `blind-${a}`,
          kind: 'preference',
          servings: Array.from({ length: 12 }, (_, i) => ({
            cups,
            picked: i < a ? 0 : 1,
            taster: '',
          })),
        });
      const { of } = await open([of12(1), of12(11), of12(6)]);
      const [b, a, neither] = of.tests.value.map(({ verdict }) => verdict);
      expect(b).to.contain('Jug 2 is liked better: 11 of 12');
      expect(a).to.contain('Jug 1 is liked better: 11 of 12');
      expect(neither).to.contain('No preference is shown: 6 of 12 chose Jug 1, 10 on one side');
    });

    it('is begun with as many servings as tasters, and answered one by one', async () => {
      const { of } = await open([]);
      await of.begin('duo-trio', 'one', 'two', 4);
      expect(of.test.value!.servings).to.have.length(4);
      expect(of.test.value!.a).to.equal('Jug 1, Lot 14');
      expect([of.at.value, of.question.value.startsWith('The first one')]).to.deep.equal([0, true]);
      expect(of.verdict.value).to.equal('Nobody has answered yet.');
      await of.answer(0, 1, 'Early shift');
      expect([of.at.value, of.test.value!.servings[0]!.taster]).to.deep.equal([1, 'Early shift']);
    });

    it('is kept with its scores, and what is refused is said', async () => {
      const { of, notice } = await open([]);
      const said = {
        scores: { liking: 4 },
        taster: '',
        note: '',
        served: 'cold',
        diluted: true,
      } as const;
      await of.keep(said);
      expect(sent('/api/tastings')[0]!.body).to.include({ of: 'one', kind: 'jug' });
      const refused = await open([], true);
      await refused.of.keep(said);
      expect(refused.notice.notice?.text).to.contain('Not so.');
      await refused.of.begin('triangle', 'one', 'one', 3);
      expect(refused.of.test.value).to.equal(null);
      await refused.of.answer(0, 1, '');
      void notice;
    });
  });

  it('costs by week, and what another way of brewing is worth in a month', async () => {
    const week = {
      date: '2026-06-08',
      batchCount: 3,
      doseG: 2000,
      brewG: 5000,
      price: 60,
      discardedG: 100,
      discardedPrice: 1.2,
    };
    const weeks = [week, week, { ...week, price: null, doseG: 0 }];
    const { of, drafts } = await page('/log/cost', useCostPage, only('/api/log/weeks', weeks));
    // 60 over 5 kg.
    expect(of.lines.value[0]!.price).to.match(/12\.00/u);
    expect(of.lines.value[2]).to.include({ cost: '–', price: '–', retained: '–' });
    // 4.35 weeks of 1 kg each: the two whole ones before this week hold 2 kg and none.
    expect(plain(of.about.value)).to.contain('4350 g of coffee a month');
    expect(of.changes.value.map(({ key }) => key)).to.include.members(['leaner', 'rinse']);
    const leaner = of.changes.value.find(({ key }) => key === 'leaner')!;
    // More water takes more out of the same coffee.
    expect(leaner.worth).to.match(/^saves /u);
    drafts.commit({ plan: { ...drafts.plan, doseG: 0 } });
    await nextTick();
    expect(of.changes.value).to.deep.equal([]);
  });
});
