import { poursByDay } from '@ratio/core/day';
import { expect } from 'chai';
import { useHands } from '../../src/day/hands.ts';
import { useDayShown } from '../../src/day/useDayShown.ts';
import { useHandOver } from '../../src/day/useHandOver.ts';
import { useJugColumns } from '../../src/day/useJugColumns.ts';
import { useMoves } from '../../src/day/useMoves.ts';
import { useNextBatch } from '../../src/day/useNextBatch.ts';
import { useRunsOut } from '../../src/day/useRunsOut.ts';
import { useSteepColumns } from '../../src/day/useSteepColumns.ts';
import { useSupply } from '../../src/day/useSupply.ts';
import { useToMake } from '../../src/day/useToMake.ts';
import { useUseUp } from '../../src/day/useUseUp.ts';
import { useWeek } from '../../src/week/useWeek.ts';
import { LATELY_PATH, useBatches } from '../../src/events/batches.ts';
import { useDays } from '../../src/day/days.ts';
import { useDraft } from '../../src/plan/draft.ts';
import { useDrinks } from '../../src/drink/drinks.ts';
import { useJugs } from '../../src/events/jugs.ts';
import { useMenu } from '../../src/drink/menu.ts';
import { installBrowser, type Asked } from '../browser.ts';
import { batchOf, jugOf } from '../documents.ts';
import { until } from '../threads.ts';
import { withApp } from '../withApp.ts';

const zone = 'Europe/Lisbon';
const DAY_MS = 86_400_000;
/** A litre an hour from 08:00 to 20:00 on each of the last four weeks' days: ten pours of 100 g. */
const EVENLY = poursByDay({
  zone,
  pours: Array.from({ length: 28 }, (_, day) =>
    Array.from({ length: 120 }, (_, i) => ({
      atMs: Date.parse('2026-06-12T07:00:00Z') - day * DAY_MS + (i + 0.5) * 6 * 60_000,
      massG: 100,
    })),
  ).flat(),
});
const plain = (text: string | undefined): string => (text ?? '').replaceAll(/\s/gu, ' ');

describe('the day', () => {
  let browser: ReturnType<typeof installBrowser>;
  before(() => {
    browser = installBrowser();
  });

  async function day<T>(
    use: (shown: ReturnType<typeof useDayShown>) => T,
    of: {
      jugs?: ReturnType<typeof jugOf>[];
      batches?: ReturnType<typeof batchOf>[];
      pours?: object[];
    } = {},
  ) {
    const { jugs = [jugOf({ onHandG: 3000 })], batches = [], pours = EVENLY } = of;
    const made = await withApp({
      browser,
      path: '/bench',
      jugs,
      answers: ({ path, method }) => {
        if (method === 'POST' && path.endsWith('/entries')) return { status: 201, body: jugOf() };
        if (path === LATELY_PATH) return { status: 200, body: batches };
        if (path === '/api/pours') return { status: 200, body: pours };
        return null;
      },
      use: () => {
        const shown = useDayShown();
        return {
          shown,
          batches: useBatches(),
          days: useDays(),
          drafts: useDraft(),
          jugs: useJugs(),
          of: use(shown),
        };
      },
    });
    await made.batches.load();
    await made.days.loadPours();
    return made;
  }
  const sent = (path: RegExp): Asked[] =>
    browser.asked.filter((one) => one.method === 'POST' && path.test(one.path));

  it('is today, a day back at most and a week ahead', async () => {
    const { shown } = await day(() => null);
    expect([shown.title.value, shown.isToday.value]).to.deep.equal(['Sat 13 Jun', true]);
    shown.go(-1);
    expect(shown.date.value).to.equal('2026-06-12');
    expect(shown.canGo(-1)).to.equal(false);
    shown.go(100);
    expect(shown.date.value).to.equal('2026-06-20');
    // 07:10 UTC on the 13th, a week before.
    expect(shown.hoursAt(Date.parse('2026-06-13T07:10:00Z'))).to.be.closeTo(8 + 1 / 6 - 168, 1e-9);
  });

  it('draws a steep darker by the hour in its vessel, and its strain at its time', async () => {
    const { of } = await day((shown) => useSteepColumns(shown), { batches: [batchOf()] });
    const column = of.columns.value.find(({ steeps }) => steeps.length > 0)!;
    expect(column.name).to.equal('Tall jar 6 L');
    const [steep] = column.steeps;
    expect(steep!.edges.map(({ text, state }) => [text, state])).to.deep.equal([
      ['08:10 strain', 'later'],
    ]);
    // It began at 14:10 the day before; what the day shows of it ends with the strain.
    expect(steep!.slices[0]!.fromHours).to.equal(0);
    expect(steep!.slices.at(-1)!.toHours).to.be.closeTo(8 + 1 / 6, 1e-9);
    const red = (colour: string): number => Number(/\d+/.exec(colour)![0]);
    expect(red(steep!.slices[0]!.colour)).to.be.at.least(red(steep!.slices.at(-1)!.colour));
    // Free vessels say so, and stand behind.
    expect(of.columns.value.at(-1)!.note).to.equal('free, clean');
  });

  it('draws what is late down to now, and its strain as due', async () => {
    const { of } = await day((shown) => useSteepColumns(shown), {
      batches: [batchOf({ endsAt: '2026-06-13T05:40:00.000Z' })],
    });
    const steep = of.columns.value[0]!.steeps[0]!;
    expect(steep.edges[0]!.state).to.equal('due');
    expect(steep.toHours).to.be.closeTo(7 + 2 / 3, 1e-9);
  });

  it('shows the plan in hand where it is to start, and moves it', async () => {
    const { of, drafts } = await day((shown) => ({
      steeps: useSteepColumns(shown),
      moves: useMoves(shown),
    }));
    drafts.restart();
    drafts.commit({ startAt: '2026-06-13T08:00:00.000Z' });
    expect(of.steeps.planned.value!.label[0]).to.equal('start 09:00');
    of.moves.moveStart(10.5);
    expect(drafts.draft.startAt).to.equal('2026-06-13T09:30:00.000Z');
  });

  // By hand: 3 kg at a kilogram an hour from opening at 08:00 are gone at 11:00.
  it('says when a jug is empty, by the pace of the shop', async () => {
    const { of } = await day((shown) => {
      const supply = useSupply(shown);
      return { runs: useRunsOut(shown, supply), jugs: useJugColumns(shown, supply) };
    });
    expect(of.runs.first.value!.at).to.match(/^(10:5\d|11:0\d)$/);
    expect(of.runs.first.value!.range).to.match(/^\d\d:\d\d to \d\d:\d\d$/);
    expect(of.runs.pace.value).to.contain('last 4 Saturdays');
    expect(of.runs.whole.value).to.match(/^Then all is gone Sat 1[01]:/);
    const [jug] = of.jugs.columns.value;
    expect(jug!.isGone).to.equal(true);
    expect(jug!.left[0]!.frac).to.equal(1);
  });

  it('knows no pace where nobody noted a pour', async () => {
    const { of } = await day((shown) => useRunsOut(shown, useSupply(shown)), { pours: [] });
    expect([of.first.value!.at, of.pace.value, of.whole.value]).to.deep.equal([null, '', '']);
  });

  it('says how many of the most asked for drinks all jugs hold together', async () => {
    const { of } = await day((shown) => useRunsOut(shown, useSupply(shown)), {
      jugs: [jugOf({ onHandG: 1000 }), jugOf({ id: 'two', strengthFrac: 0.025, onHandG: 2000 })],
    });
    await until(() => of.left.value.length > 0);
    const menu = useMenu();
    expect(of.left.value).to.have.length(3);
    for (const { id, count } of of.left.value) {
      const drink = useDrinks().drinks.find((one) => one.id === id)!;
      const each = useJugs().onHand.map((jug) => menu.countOf(jug, drink));
      expect(count, id)
        .to.equal(each[0]! + each[1]!)
        .and.above(0);
    }
  });

  it('counts what is strained before then', async () => {
    const { of } = await day((shown) => useRunsOut(shown, useSupply(shown)), {
      batches: [batchOf()],
    });
    // 2 kg more at 08:50 last two hours longer.
    expect(of.whole.value).to.match(/^With Tall jar 6 L at 08:50, all is gone Sat 1[23]:/);
  });

  it('says by when the next batch starts, in which vessel, and opens it as a plan', async () => {
    const { of, drafts } = await day((shown) => useNextBatch(shown, useSupply(shown)), {
      jugs: [jugOf({ onHandG: 26_000 })],
    });
    // 26 kg at 12 kg a day may be gone on Sunday evening; a steep of 18 h that somebody strains before
    // then starts on Saturday before the crew leaves at 21:00, with the three minutes of its top-up.
    expect(of.advice.value!.isInTime).to.equal(true);
    expect(of.advice.value!.by).to.match(/^Sat (20:45|20:30)$/);
    expect(plain(of.advice.value!.title)).to.match(/^\d.* at 1:5, /);
    await of.advice.value!.open();
    expect(drafts.draft.startAt).to.match(/^2026-06-13T19:(45|30):/);
    expect(drafts.plan.waterG / drafts.plan.doseG).to.be.closeTo(5, 1e-9);
    expect(of.helps.value).to.deep.equal([]);
  });

  it('says what helps where it is too late, each with what it comes to', async () => {
    const { of } = await day((shown) => useNextBatch(shown, useSupply(shown)), {
      jugs: [jugOf({ onHandG: 7000 })],
    });
    expect(of.advice.value!.isInTime).to.equal(false);
    const titles = of.helps.value.map(({ title }) => plain(title));
    expect(titles.some((title) => title.includes('on the counter'))).to.equal(true);
    expect(titles.some((title) => title.includes('10 % less'))).to.equal(true);
    expect(titles.some((title) => title.includes('of water'))).to.equal(true);
    expect(of.helps.value.every(({ effect }) => /strong|until/.test(effect))).to.equal(true);
  });

  it('names what needs a hand next, and lets it be put off', async () => {
    const { of } = await day(() => useHands(), {
      batches: [
        batchOf({ id: 'evening', endsAt: '2026-06-13T17:40:00.000Z' }),
        batchOf({ id: 'late', endsAt: '2026-06-13T06:00:00.000Z' }),
      ],
    });
    expect(of.hands.map(({ to }) => to)).to.deep.equal(['/steep/late', '/steep/evening']);
    expect(of.due.length).to.equal(1);
    of.later(of.hands[0]!.key);
    expect(of.hands.map(({ to }) => to)).to.deep.equal(['/steep/evening']);
    // It is due all the same.
    expect([of.due.length, of.hasPutOff]).to.deep.equal([1, true]);
    of.takeAllBack();
    expect(of.hands).to.have.length(2);
  });

  it('asks before a strain is moved, says what it comes to, and notes it once', async () => {
    const { of, shown } = await day((it) => useMoves(it), { batches: [batchOf()] });
    of.moveEnd('steeping', 22.5);
    expect(of.asked.value!.title).to.equal('Strain Tall jar 6 L Sat 22:30 instead of Sat 08:10');
    expect(of.asked.value!.isManned).to.equal(false);
    of.moveEnd('steeping', 9);
    expect(of.asked.value!.isManned).to.equal(true);
    expect(sent(/actuals$/)).to.have.length(0);
    await of.move();
    expect(sent(/actuals$/)[0]!.body).to.include({
      kind: 'strain-moved',
      until: '2026-06-13T08:00:00.000Z',
    });
    expect(of.asked.value).to.equal(null);
    of.moveEnd('steeping', 10);
    shown.go(1);
    await Promise.resolve();
    expect(of.moved.value).to.equal(null);
  });

  it('lists what is to be made by the week’s need and by last days', async () => {
    const { of, shown } = await day((it) => useToMake(it));
    await until(() => of.makes.value.length > 0);
    const names = of.makes.value.map(({ name }) => name);
    // Foam is of the same day; the syrup of 9 June keeps until Monday.
    expect(names).to.include('Sea salt cream foam').and.not.include('Rosemary syrup');
    shown.go(2);
    expect(of.makes.value.map(({ name }) => name)).to.include('Rosemary syrup');
  });

  it('throws away with the reason and the money that it was', async () => {
    const { of } = await day(() => useUseUp(), {
      jugs: [jugOf({ useBy: '2026-06-12T06:00:00.000Z', onHandG: 500, pricePerKg: 8 })],
    });
    const jug = of.list.value.find(({ what }) => what === 'jug')!;
    expect([jug.when, jug.isPast, jug.price]).to.deep.equal(['past, Fri 12 Jun', true, 4]);
    await of.throwAway(jug, 'past its day');
    expect(sent(/jugs\/one\/entries$/)[0]!.body).to.include({
      kind: 'discarded',
      massG: 500,
      reason: 'past its day',
    });
    expect(sent(/days\/2026-06-13\/rows$/)[0]!.body).to.include({
      kind: 'thrown-away',
      item: 'Jug 1',
      price: 4,
    });
  });

  it('keeps notes and checks of the day, here before the server has them', async () => {
    const { of, days } = await day((it) => useHandOver(it));
    expect(of.lists.value.map(({ name, done }) => [name, done])).to.deep.equal([
      ['Opening', 0],
      ['Closing', 0],
    ]);
    browser.answer(() => ({ status: 0, body: null }));
    await of.addNote('Ice is low.');
    await of.check('opening', 'Jugs tasted', null);
    expect(of.notes.value.map(({ note }) => note)).to.deep.equal(['Ice is low.']);
    expect(of.lists.value[0]!.done).to.equal(1);
    const [row] = days.rowsOf('2026-06-13').filter(({ kind }) => kind === 'checked');
    await of.check('opening', 'Jugs tasted', row!.id);
    expect(of.lists.value[0]!.done).to.equal(0);
  });

  it('counts a jug, with the reason where it differs', async () => {
    const { of } = await day((it) => useHandOver(it));
    await of.count('one', 0, 'empty after all');
    expect(sent(/entries$/)[0]!.body).to.include({
      kind: 'counted',
      massG: 0,
      note: 'empty after all',
    });
  });

  it('has a week on one sheet: what is expected, hands, last days', async () => {
    const { of } = await day(() => useWeek(), { batches: [batchOf()] });
    const [today, , monday] = of.week.value;
    expect(today!.hands).to.deep.equal(['08:10 Strain: Lot 14, Tall jar 6 L']);
    // 120 drinks a day, known from four weeks.
    const [low, high] = monday!.expected.split(' to ').map(Number);
    expect(low).to.be.within(60, 115);
    expect(high).to.be.within(125, 180);
    expect(of.gone.value!.date).to.equal('2026-06-13');
  });
});
